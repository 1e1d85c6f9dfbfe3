/**
 * Fields of a document, described once. From the same description come the TypeScript type (`Value`), the reader with
 * its errors by path (`read.ts`), the JSON Schema (`json-schema.ts`), and the fields of an editor.
 */

/** Text of so many characters. */
export interface TextField {
  /** Which kind of field. */
  is: 'text';
  /** Fewest and most characters. */
  least: number;
  /** Most characters. */
  most: number;
  /** What it says, for whoever reads the schema. */
  words: string;
}
/** A name by which something is looked up: letters, digits, dot, dash and underscore. */
export interface IdField {
  /** Which kind of field. */
  is: 'id';
  /** What it names. */
  words: string;
}
/** Text of a fixed shape. */
export interface ShapedField {
  /** Which kind of field. */
  is: 'uuid' | 'day' | 'moment';
  /** What it says, for whoever reads the schema. */
  words: string;
}
/** Whatever JSON holds, up to so many characters: a document that another reader looks into. */
export interface AnyField {
  /** Which kind of field. */
  is: 'any';
  /** Most characters as JSON. */
  most: number;
  /** What it says, for whoever reads the schema. */
  words: string;
}
export interface NumberField {
  /** Which kind of field. */
  is: 'number';
  /** Inclusive. */
  least: number;
  /** Inclusive. */
  most: number;
  /** Whole numbers only. */
  whole: boolean;
  /** Written after the number: "s", "per min"; empty for a bare count. */
  unit: string;
  /** What it says, for whoever reads the schema. */
  words: string;
}
export interface OneOfField<V extends string = string> {
  /** Which kind of field. */
  is: 'one-of';
  /** What is accepted. */
  values: readonly V[];
  /** What it says, for whoever reads the schema. */
  words: string;
}
export interface YesNoField {
  /** Which kind of field. */
  is: 'yes-no';
  /** What it says, for whoever reads the schema. */
  words: string;
}
/** Always this value. */
export interface ConstantField<V extends string | number = string | number> {
  /** Which kind of field. */
  is: 'constant';
  /** The one that is accepted. */
  value: V;
}
/** The same, or nothing. */
export interface NullableField<F extends Field = Field> {
  /** Which kind of field. */
  is: 'nullable';
  /** What it is when it is there. */
  of: F;
}
export interface ListField<F extends Field = Field> {
  /** Which kind of field. */
  is: 'list';
  /** Of each entry. */
  of: F;
  /** Fewest and most entries. */
  least: number;
  /** Most entries. */
  most: number;
  /** What it says, for whoever reads the schema. */
  words: string;
}
/** Every field has to be there, and no other. */
export interface ObjectField<O extends Readonly<Record<string, Field>> = Readonly<Record<string, Field>>> {
  /** Which kind of field. */
  is: 'object';
  /** By name. */
  fields: O;
  /** What it says, for whoever reads the schema. */
  words: string;
}
/** One of several objects, told apart by their constant `kind`. */
export interface KindsField<O extends Readonly<Record<string, ObjectField>> = Readonly<Record<string, ObjectField>>> {
  /** Which kind of field. */
  is: 'kinds';
  /** By kind. */
  of: O;
}
export type Field =
  | TextField
  | IdField
  | ShapedField
  | AnyField
  | NumberField
  | OneOfField
  | YesNoField
  | ConstantField
  | NullableField
  | ListField
  | ObjectField
  | KindsField;

/** What a field holds. */
export type Value<F> = F extends { is: 'text' | 'id' | 'uuid' | 'day' | 'moment' }
  ? string
  : F extends { is: 'any' }
    ? unknown
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
export const uuid = (words: string): ShapedField => ({ is: 'uuid', words });
/** A day of the calendar, YYYY-MM-DD. */
export const day = (words: string): ShapedField => ({ is: 'day', words });
/** A moment with its offset, ISO 8601. */
export const moment = (words: string): ShapedField => ({ is: 'moment', words });
export const any = (most: number, words: string): AnyField => ({ is: 'any', most, words });
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
