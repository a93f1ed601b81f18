import { wcagContrast } from 'culori';
import { printColour } from '../../markup/colours';
import type { CssRule } from '../../markup/printCss';
import type { Colour } from '../../mockup/paint';
import { lightness, PAPER } from '../../look/contrast';
import type { Page } from '../../page/frame';
import type { PageNode } from '../../page/node';
import { collectFromNodes } from '../../page/walk';
import { isButton, isFieldRole, isCheckRole } from '../../sort/vocabulary';

/** Common practice, no source: a pointer over a control darkens it by this share; on a dark ground it lightens it. */
const ANSWER = 0.08;

/** The lowest contrast of a focus ring with what is around it (WCAG 2.2, 1.4.11 Non-text Contrast). */
const LEAST_CONTRAST = 3;

/**
 * What links, buttons and fields of pages in the flow show under the pointer and with the focus, in one block that a
 * developer deletes where the product has its own. A state that the mockup draws takes the place of these rules.
 */
export function pressRules(pages: readonly Page[]): readonly CssRule[] {
  const flowing = pages.filter(({ layout }) => layout);
  const controls = flowing.flatMap(({ children }) => controlsIn(children));
  if (controls.length === 0) return [];
  const ground = flowing.find((page) => page.ground)?.ground ?? PAPER;
  const share = lightness(ground) < 0.5 ? 1 + ANSWER : 1 - ANSWER;
  const ring = printColour(ringColour(controls, ground));
  const rules: readonly CssRule[] = [
    {
      selector: ":where(.screen :is(a, button):not(:disabled, [aria-disabled='true'])):hover",
      declarations: [['filter', `brightness(${share})`]],
    },
    {
      selector: ':where(.screen :is(a, button)):focus-visible,\n:where(.screen label):has(:focus-visible)',
      declarations: [
        ['outline', `2px solid ${ring}`],
        ['outline-offset', '2px'],
      ],
      isEcho: true,
    },
    // The ring is around the whole field, not around the letters in it.
    ...(controls.some(({ isField }) => isField)
      ? [{ selector: ':where(.screen label :focus-visible)', declarations: [['outline', 'none'] as const] }]
      : []),
  ];
  const comment = `What is pressed answers the pointer and the keyboard by the next ${rules.length} rules. Delete them where the product has its own.`;
  return rules.map((rule, at) => (at === 0 ? { ...rule, comment } : rule));
}

interface Control {
  readonly isField: boolean;
  readonly fill: Colour | null;
  readonly ink: Colour | null;
}

const controlsIn = collectFromNodes<Control>((node) => {
  const isField = isFieldRole(node.role) || isCheckRole(node.role);
  if (!isField && !isButton(node.role) && node.href === undefined) return [];
  return [{ isField, fill: isField ? null : fillOf(node), ink: isField ? null : inkOf(node) }];
});

function fillOf({ look }: PageNode): Colour | null {
  const [fill] = look.fills ?? [];
  return fill?.kind === 'solid' && fill.colour.alpha === 1 ? fill.colour : null;
}

function inkOf(node: PageNode): Colour | null {
  if (node.kind === 'text') return node.look.type?.colour ?? null;
  if (node.kind !== 'box') return null;
  return node.children.map(inkOf).find((ink) => ink !== null) ?? null;
}

/** The commonest fill of buttons and links that stands out from the ground, else their commonest ink, else black or white. */
function ringColour(controls: readonly Control[], ground: Colour): Colour {
  const behind = printColour(ground);
  const standsOut = (colour: Colour) => wcagContrast(printColour(colour), behind) >= LEAST_CONTRAST;
  const candidates = [controls.map(({ fill }) => fill), controls.map(({ ink }) => ink)];
  for (const colours of candidates) {
    const seen = colours.filter((colour) => colour !== null).filter(standsOut);
    const first = commonest(seen);
    if (first) return first;
  }
  return lightness(ground) < 0.5 ? PAPER : { r: 0, g: 0, b: 0, alpha: 1 };
}

function commonest(colours: readonly Colour[]): Colour | null {
  const counts = new Map<string, { readonly colour: Colour; count: number }>();
  for (const colour of colours) {
    const key = printColour(colour);
    const known = counts.get(key) ?? { colour, count: 0 };
    counts.set(key, { colour, count: known.count + 1 });
  }
  const [first] = [...counts.values()].toSorted((one, other) => other.count - one.count);
  return first?.colour ?? null;
}
