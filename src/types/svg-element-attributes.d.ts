declare module 'svg-element-attributes' {
  /** The attributes of each SVG element in SVG 1.1, Tiny 1.2 and 2; those of all elements stand under `*`. */
  const attributes: Readonly<Record<string, readonly string[]>>;
  export default attributes;
}
