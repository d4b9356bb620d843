/** The value, which is known to be there. Throws where it is not. `what` names it in the error. */
export const sure = <T>(value: T | null | undefined, what = "a value"): T => {
  if (value === null || value === undefined) throw new Error(`${what} is missing`);
  return value;
};

/** The first of a list that is known not to be empty. */
export const firstOf = <T>(list: readonly T[]): T => sure(list[0], "the first of a list");
/** The last of a list that is known not to be empty. */
export const lastOf = <T>(list: readonly T[]): T => sure(list[list.length - 1], "the last of a list");
