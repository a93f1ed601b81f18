import { freeName } from '../../markup/freeName';
import { hueWord, isNeutral, oklchOf, type Oklch } from './hues';
import type { ColourPlace, UsedValue } from './token';

/** The words for neutral colours by their place. */
const NEUTRALS: Readonly<Record<Exclude<ColourPlace, 'letters'>, string>> = {
  ground: 'ground',
  surface: 'surface',
  line: 'line',
  other: 'neutral',
};

/** The words for neutral letters, those that stand out most first. */
const INKS = ['ink', 'ink-soft', 'ink-faint'];

/** Lightness, 0–1, by which letters differ from the background at least; others stand on a dark surface. */
const READABLE = 0.2;

/** Lightness, 0–1, by which a shade must differ from the main one of its hue to be called lighter or darker. */
const SHADE = 0.02;

interface Shade extends Oklch {
  readonly used: UsedValue;
}

/**
 * The names of colours by their values: neutral letters by how much they stand out, other neutral ones by their place,
 * others by their hue and how light they are, see-through ones with their percentage. The most used of a kind has the
 * plain word.
 * @param taken names of other custom properties
 */
export function colourNames(
  colours: readonly UsedValue[],
  taken: ReadonlySet<string>,
): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  const given = new Set(taken);
  const give = ({ used }: Shade, wanted: string) => {
    const name = freeName(wanted, (each) => given.has(each));
    given.add(name);
    names.set(used.value, name);
  };
  const shades = colours.flatMap(shadeOf).sort((one, other) => other.used.uses - one.used.uses);
  const opaque = shades.filter(({ alpha }) => alpha === 1);
  const ground = opaque.find(({ used }) => used.places.ground)?.lightness ?? 1;
  const standsOut = ({ lightness }: Shade) => Math.abs(lightness - ground);
  const neutral = opaque.filter(isNeutral);
  const isInk = (shade: Shade) => mainPlace(shade.used) === 'letters' && standsOut(shade) > READABLE;
  const inks = neutral.filter(isInk).sort((one, other) => standsOut(other) - standsOut(one));
  inks.forEach((shade, at) => give(shade, INKS[at] ?? 'ink'));
  for (const shade of neutral) {
    if (inks.includes(shade)) continue;
    const place = mainPlace(shade.used);
    give(shade, shade.lightness > 0.999 ? 'white' : NEUTRALS[place === 'letters' ? 'surface' : place]);
  }
  const plain = new Map<string, Shade>();
  for (const shade of opaque) {
    if (names.has(shade.used.value)) continue;
    const hue = hueWord(shade);
    const main = plain.get(hue);
    if (!main) plain.set(hue, shade);
    const lighter = main ? shade.lightness - main.lightness : 0;
    const wanted = Math.abs(lighter) < SHADE ? hue : `${hue}-${lighter > 0 ? 'light' : 'dark'}`;
    give(shade, wanted);
  }
  for (const shade of shades) {
    if (shade.alpha === 1) continue;
    const share = Math.round(shade.alpha * 100);
    give(shade, `${seeThroughWord(shade, opaque, names)}-${share}`);
  }
  return names;
}

/** The name of the same colour without its transparency, else a word for it. */
function seeThroughWord(shade: Shade, opaque: readonly Shade[], names: ReadonlyMap<string, string>): string {
  const same = opaque.find(
    (each) =>
      Math.abs(each.lightness - shade.lightness) < 1e-4 &&
      Math.abs(each.chroma - shade.chroma) < 1e-4 &&
      (isNeutral(shade) || Math.abs(each.hue - shade.hue) < 0.1),
  );
  const known = same && names.get(same.used.value);
  if (known !== undefined) return known;
  if (!isNeutral(shade)) return hueWord(shade);
  if (shade.lightness > 0.999) return 'white';
  return shade.lightness < 0.001 ? 'black' : 'grey';
}

function shadeOf(used: UsedValue): readonly Shade[] {
  const colour = oklchOf(used.value);
  return colour ? [{ used, ...colour }] : [];
}

function mainPlace({ places }: UsedValue): ColourPlace {
  const [first] = Object.entries(places).sort((one, other) => other[1] - one[1]);
  return places.ground ? 'ground' : ((first?.[0] ?? 'other') as ColourPlace);
}
