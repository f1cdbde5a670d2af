/** A file that is not taken, with the reason in words for the builder. */
export class FileRefused extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'FileRefused';
  }
}

/** A larger backup is not read at all. */
export const MAX_BACKUP_BYTES = 250_000_000;
