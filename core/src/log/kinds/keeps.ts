/** What a record is in a field that may hold one or several. */
type ItemOf<Value> = Value extends readonly (infer Item)[] ? Item : Value;

/** The newest event alone counts; what it says in this field. */
export interface Last<Field extends string> {
  by: 'last';
  field: Field;
}

/** Every event counts; what each says in this field. */
export interface Every<Field extends string> {
  by: 'every';
  field: Field;
}

/** Of all with the same key the newest counts; in the order in which the keys first appeared. */
export interface Newest<Field extends string | null, Item, Found = Item> {
  by: 'newest';
  /** Null: the event itself is the record. A field that holds several gives each. */
  field: Field;
  keyOf: (item: Item) => string;
  /** False of a record that takes back what was said before. */
  says: (item: Item) => boolean;
  /** Carries the type of what is found; never there at run time. */
  found?: Found;
}

/** Things with an id: the newest word on each, without those that were removed. */
export interface InUse<Field extends string> {
  by: 'in-use';
  field: Field;
}

type Thing = { id: string; removed: boolean };
type FieldOf<Body> = Exclude<keyof Body, 'kind'> & string;

/** The ways in which the records of events with this body may be kept: a field that is not there does not compile. */
export type KeepsOf<Body> =
  | { [Field in FieldOf<Body>]: Last<Field> | Every<Field> }[FieldOf<Body>]
  | { [Field in FieldOf<Body>]: Body[Field] extends Thing ? InUse<Field> : never }[FieldOf<Body>]
  // What a record becomes by `says` is the definition's own: any is taken here, and found by inference.
  | { [Field in FieldOf<Body>]: Newest<Field, ItemOf<Body[Field]>, unknown> }[FieldOf<Body>]
  | Newest<null, Body, unknown>
  | null;

/** What `recordsOf` gives of events with this body that are kept in this way. */
export type RecordsBy<Keeps, Body> =
  Keeps extends Last<infer Field>
    ? Body[Field & keyof Body] | null
    : Keeps extends Every<infer Field>
      ? Body[Field & keyof Body][]
      : Keeps extends InUse<infer Field>
        ? Body[Field & keyof Body][]
        : Keeps extends { by: 'newest'; field: infer Field; found?: infer Found }
          ? ((Field extends keyof Body ? ItemOf<Body[Field]> : Body) & Found)[]
          : never;

export const last = <const Field extends string>(field: Field): Last<Field> => ({ by: 'last', field });

export const every = <const Field extends string>(field: Field): Every<Field> => ({ by: 'every', field });

export const inUse = <const Field extends string>(field: Field): InUse<Field> => ({ by: 'in-use', field });

/**
 * @param says which records say something, the others take back what was said before; without it each does
 * @example newest('passing', ({ throws, way }: Passing) => `${throws.join()} ${way}`)
 */
export function newest<const Field extends string | null, Item, Found extends Item>(
  field: Field,
  keyOf: (item: Item) => string,
  says: (item: Item) => item is Found,
): Newest<Field, Item, Found>;
export function newest<const Field extends string | null, Item>(
  field: Field,
  keyOf: (item: Item) => string,
  says?: (item: Item) => boolean,
): Newest<Field, Item>;
export function newest<Item>(
  field: string | null,
  keyOf: (item: Item) => string,
  says: (item: Item) => boolean = () => true,
): Newest<string | null, Item> {
  return { by: 'newest', field, keyOf, says };
}
