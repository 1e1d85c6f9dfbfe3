/** Input that is refused: which field, what was wrong, what is accepted. */
export class InputError extends Error {
  readonly field: string;
  constructor(field: string, message: string) {
    super(`${field}: ${message}`);
    this.name = 'InputError';
    this.field = field;
  }
}
