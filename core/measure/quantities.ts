/**
 * Quantities that cannot be taken for each other: millimetres where newtons are asked do not compile. A bare
 * number passes for either, so that arithmetic and literals stay as they are written.
 */
declare const quantity: unique symbol;

export type Mm = number & { readonly [quantity]?: 'mm' };
export type Newtons = number & { readonly [quantity]?: 'N' };
