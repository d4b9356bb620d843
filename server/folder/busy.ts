/** Another process holds the data folder. */
export class Busy extends Error {
  constructor(folder: string, holder: string) {
    super(
      `The data folder ${folder} is held by ${holder}. Stop that one, or name another folder by --data. Nothing was changed.`,
    );
  }
}
