import { svgOf } from './shelf';

/** A small mockup with a box, a drawing and a text. */
export const PIER =
  svgOf(`<g id="pier"><rect id="deck" y="100" width="400" height="40" fill="#864"/><path id="gull" d="M10 10q10 -10 20 0q10 -10 20 0" fill="none" stroke="#222"/>
  <text id="sign" x="20" y="200" font-family="Commissioner" font-size="20">Mind the gap</text></g>`);
