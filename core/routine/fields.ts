/**
 * Fields of a document, described once. From the same description come the TypeScript type (`Value`), the reader with
 * its errors by path (`read.ts`), the JSON Schema (`json-schema.ts`), and the fields of an editor.
 */

/** Text of so many characters. */
export interface TextField {
  is: 'text';
  /** Fewest and most characters. */
  least: number;
  most: number;
  /** What it says, for whoever reads the schema. */
  words: string;
}
/** A name by which something is looked up: letters, digits, dot, dash and underscore. */
export interface IdField {
  is: 'id';
  words: string;
}
export interface NumberField {
  is: 'number';
  /** Inclusive. */
  least: number;
  most: number;
  whole: boolean;
  /** Written after the number: "s", "per min"; empty for a bare count. */
  unit: string;
  words: string;
}
export interface OneOfField<V extends string = string> {
  is: 'one-of';
  values: readonly V[];
  words: string;
}
export interface YesNoField {
  is: 'yes-no';
  words: string;
}
/** Always this value. */
export interface ConstantField<V extends string | number = string | number> {
  is: 'constant';
  value: V;
}
/** The same, or nothing. */
export interface NullableField<F extends Field = Field> {
  is: 'nullable';
  of: F;
}
export interface ListField<F extends Field = Field> {
  is: 'list';
  of: F;
  /** Fewest and most entries. */
  least: number;
  most: number;
  words: string;
}
/** Every field has to be there, and no other. */
export interface ObjectField<O extends Readonly<Record<string, Field>> = Readonly<Record<string, Field>>> {
  is: 'object';
  fields: O;
  words: string;
}
/** One of several objects, told apart by their constant `kind`. */
export interface KindsField<O extends Readonly<Record<string, ObjectField>> = Readonly<Record<string, ObjectField>>> {
  is: 'kinds';
  of: O;
}
export type Field =
  | TextField
  | IdField
  | NumberField
  | OneOfField
  | YesNoField
  | ConstantField
  | NullableField
  | ListField
  | ObjectField
  | KindsField;

/** What a field holds. */
export type Value<F> = F extends { is: 'text' | 'id' }
  ? string
  : F extends { is: 'number' }
    ? number
    : F extends { is: 'yes-no' }
      ? boolean
      : F extends { is: 'one-of'; values: readonly (infer V)[] }
        ? V
        : F extends { is: 'constant'; value: infer V }
          ? V
          : F extends { is: 'nullable'; of: infer G }
            ? Value<G> | null
            : F extends { is: 'list'; of: infer G }
              ? Value<G>[]
              : F extends { is: 'object'; fields: infer O }
                ? { -readonly [K in keyof O]: Value<O[K]> }
                : F extends { is: 'kinds'; of: infer O }
                  ? { [K in keyof O]: Value<O[K]> }[keyof O]
                  : never;

export const text = (most: number, words: string, least = 0): TextField => ({ is: 'text', least, most, words });
export const id = (words: string): IdField => ({ is: 'id', words });
export const number = ([least, most]: readonly [number, number], unit: string, words: string): NumberField => ({
  is: 'number',
  least,
  most,
  whole: false,
  unit,
  words,
});
export const whole = (range: readonly [number, number], words: string): NumberField => ({
  ...number(range, '', words),
  whole: true,
});
export const oneOf = <V extends string>(values: readonly V[], words = ''): OneOfField<V> => ({
  is: 'one-of',
  values,
  words,
});
export const yesNo = (words: string): YesNoField => ({ is: 'yes-no', words });
export const constant = <const V extends string | number>(value: V): ConstantField<V> => ({ is: 'constant', value });
export const orNull = <F extends Field>(of: F): NullableField<F> => ({ is: 'nullable', of });
export const list = <F extends Field>(
  of: F,
  [least, most]: readonly [number, number],
  words: string,
): ListField<F> => ({
  is: 'list',
  of,
  least,
  most,
  words,
});
export const object = <O extends Readonly<Record<string, Field>>>(fields: O, words = ''): ObjectField<O> => ({
  is: 'object',
  fields,
  words,
});
export const kinds = <O extends Readonly<Record<string, ObjectField>>>(of: O): KindsField<O> => ({ is: 'kinds', of });
