import { decodeText } from '../../core/read/decodeText';

const ANIMATIONS =
  /<((?:[\w.-]+:)?(?:animate|animateTransform|animateMotion|animateColor|set|discard))\b(?:"[^"]*"|'[^']*'|[^"'>])*?(?:\/>|>[\s\S]*?<\/\1\s*>)/g;

/** An SVG without its animations (SVG Animations 2, §2): a page shows the mockup at rest, and so does its proof. */
export function withoutAnimations(svg: Uint8Array): Uint8Array {
  const text = decodeText(svg);
  const still = text.replace(ANIMATIONS, '');
  return still.length === text.length ? svg : new TextEncoder().encode(still);
}
