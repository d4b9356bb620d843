/** Puts a text on the clipboard; false where the browser does not let the page, as on plain http from another machine. */
export const copyText = async (text: string): Promise<boolean> => {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
};
