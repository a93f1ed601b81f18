/** How much a mockup may hold, so that reading ends in bounded time and memory. */
export const LIMITS = {
  bytes: 64 * 1024 * 1024,
  /** Bytes of an OpenRaster file and of a flat picture: both are packed, and opened a layer at a time. */
  archive: 256 * 1024 * 1024,
  /** Bytes of an archive's entries together. */
  unpacked: 768 * 1024 * 1024,
  depth: 400,
  /** Px of one bitmap, and of all together: they are decoded outside of the memory that a worker bounds. */
  bitmapPixels: 100_000_000,
  pixels: 1_000_000_000,
  /** How deep references lead: `use` in `use`, definitions that need definitions. */
  references: 100,
  elements: 400_000,
  /** Characters of text and attributes after entities are filled in. */
  characters: 256 * 1024 * 1024,
  entityLength: 1024,
  /** Characters that entities with elements in them may add. */
  entityMarkup: 1024 * 1024,
  /** How often a selector is held against an element. */
  selectorTests: 1_500_000,
  /** Layers that `use` may add, and elements that one definition may draw. */
  copies: 20_000,
  /** Px, either side of a screen. */
  screen: 32_768,
} as const;
