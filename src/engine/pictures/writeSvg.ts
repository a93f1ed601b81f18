import { optimize, type Config } from 'svgo';
import type { SvgStyle } from '../../core/pictures/recipes/recipe';

/** Decimals of coordinates: a hundredth of a px is never seen (common practice, no source: 2 to 4). */
const USUAL_DECIMALS = 3;

/**
 * An SVG written as developers ask for it, and no larger than it has to be. It looks the same at every setting.
 * @param name the name of the picture, for ids that never clash and for a title
 */
export function writeSvg(svg: string, name: string, style: SvgStyle): string {
  const {
    decimals = USUAL_DECIMALS,
    size = 'fixed',
    ids = 'short',
    styles = 'attributes',
    title = false,
  } = style;
  const config: Config = {
    multipass: true,
    floatPrecision: decimals,
    plugins: [
      {
        name: 'preset-default',
        params: {
          overrides: {
            // Ids are shortened below; groups with ids and hidden parts may be asked for by name.
            cleanupIds: ids === 'short' ? {} : false,
            convertPathData: { floatPrecision: decimals },
            cleanupNumericValues: { floatPrecision: decimals },
          },
        },
      },
      ...(ids === 'prefixed'
        ? [{ name: 'prefixIds' as const, params: { prefix: idPrefix(name), delim: '-' } }]
        : []),
      ...(size === 'fluid' ? ['removeDimensions' as const] : []),
    ],
  };
  const written = optimize(svg, config).data;
  const dressed = DRESSES[styles](written, name);
  return title ? withTitle(dressed, name) : dressed;
}

function idPrefix(name: string): string {
  return name.replaceAll('/', '-');
}

/** The title that assistive technology reads (SVG 2, §5.8.1). */
function withTitle(svg: string, name: string): string {
  const words = (name.split('/').at(-1) ?? name).replaceAll('-', ' ');
  return svg.replace(/(<svg\b[^>]*>)/, (root) => `${root}<title>${words}</title>`);
}

/** Where the looks of elements are written. */
const DRESSES: Readonly<Record<NonNullable<SvgStyle['styles']>, (svg: string, name: string) => string>> = {
  attributes: (svg) => svg,
  inline: (svg) => withLooks(svg, (look) => `style="${look}"`),
  block: styleBlock,
};

/** Attributes that are properties of CSS too (SVG 2, §6.6 presentation attributes; those that Orden writes). */
const PROPERTIES =
  /\s(fill|fill-opacity|fill-rule|stroke|stroke-width|stroke-opacity|stroke-linecap|stroke-linejoin|stroke-miterlimit|stroke-dasharray|stroke-dashoffset|opacity|clip-rule|stop-color|stop-opacity)="([^"]*)"/g;

/** The looks of elements as rules of a style block (SVG 2, §6.3), in classes that begin with the picture's name. */
function styleBlock(svg: string, name: string): string {
  const classes = new Map<string, string>();
  const dressed = withLooks(svg, (look) => {
    const known = classes.get(look) ?? `${idPrefix(name)}-${classes.size + 1}`;
    classes.set(look, known);
    return `class="${known}"`;
  });
  const rules = [...classes].map(([look, each]) => `.${each}{${look}}`).join('');
  return rules === '' ? dressed : dressed.replace(/<svg\b[^>]*>/, (root) => `${root}<style>${rules}</style>`);
}

/** The document with the look of every element said once more, by an attribute of its own. */
function withLooks(svg: string, attribute: (look: string) => string): string {
  return svg.replace(/<[a-zA-Z][^>]*>/g, (tag) => {
    const said: string[] = [];
    const rest = tag.replace(PROPERTIES, (_, property: string, value: string) => {
      said.push(`${property}:${value}`);
      return '';
    });
    if (said.length === 0) return tag;
    const own = /\sstyle="([^"]*)"/.exec(rest)?.[1];
    const look = [...said, ...(own ? [own] : [])].join(';');
    return rest.replace(/\sstyle="[^"]*"/, '').replace(/\s*(\/?>)$/, ` ${attribute(look)}$1`);
  });
}
