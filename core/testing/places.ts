/** Every place in a value, as the object it is in and its key there. */
export const placesIn = (value: unknown, found: [object, string][] = []): [object, string][] => {
  if (typeof value === "object" && value !== null)
    for (const key of Object.keys(value)) {
      found.push([value, key]);
      placesIn(Reflect.get(value, key), found);
    }
  return found;
};
