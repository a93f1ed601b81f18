/**
 * What drawing a layer as an element may ask of a target beyond plain boxes and texts, with the words for people. A
 * target says of each whether it can.
 */
export const FEATURES = {
  mask: 'it has a mask',
  'complex-clip': 'its clip is more than one plain shape',
  'complex-filter': 'it has a filter of more than shadows, blur and colours',
  'linear-blur': 'its blur mixes colours as light',
  'free-shadow': 'it has an inner or grown shadow on more than a plain box',
  blur: 'it is blurred',
  'colour-filter': 'a filter changes its colours',
  'drop-shadow': 'it has a shadow',
  'inner-shadow': 'it has an inner shadow',
  'grown-shadow': 'it has a grown shadow',
  'blend-mode': 'it is blended with what is beneath',
  bitmap: 'it is a bitmap',
  'free-text': 'its letters are not set in lines',
  'painted-letters': 'its letters are filled with a gradient or pattern',
  'letter-outline': 'its letters have an outline',
  'drawn-letter-outline': 'its letters have an outline that is dashed or painted',
  'free-shape': 'it is a free shape',
  markers: 'it carries markers',
  'painted-ring': 'its ring is filled with a gradient or pattern',
  pattern: 'it is filled with a pattern',
  'painted-outline': 'its outline is painted with a gradient or pattern',
  'round-line-ends': 'its line has round ends',
  dashes: 'its outline is dashed',
  'cut-corners': 'its corners are cut off',
  'fixed-outline': 'its outline keeps its width while it is stretched',
  'linear-gradient': 'it is filled with a gradient',
  'round-gradient': 'it is filled with a round gradient',
  'mirrored-gradient': 'its gradient is mirrored again and again',
  'ring-gradient': 'its gradient begins around its centre',
  'focal-gradient': 'its gradient shines from beside its centre',
  'slanted-gradient': 'its round gradient is slanted',
} as const;
export type Feature = keyof typeof FEATURES;

/** What a target can draw as an element. What it cannot becomes a picture. */
export interface Capabilities {
  /** The name in reasons, such as `CSS`. */
  readonly name: string;
  readonly draws: Readonly<Record<Feature, boolean>>;
}
