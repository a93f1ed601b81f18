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
  const dressed = styles === 'inline' ? inlineStyles(written) : written;
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

/** Attributes that are properties of CSS too (SVG 2, §6.6 presentation attributes; those that Orden writes). */
const PROPERTIES =
  /\s(fill|fill-opacity|fill-rule|stroke|stroke-width|stroke-opacity|stroke-linecap|stroke-linejoin|stroke-miterlimit|stroke-dasharray|stroke-dashoffset|opacity|clip-rule|stop-color|stop-opacity)="([^"]*)"/g;

/** The looks of elements as `style` attributes. */
function inlineStyles(svg: string): string {
  return svg.replace(/<[a-zA-Z][^>]*>/g, (tag) => {
    const said: string[] = [];
    const rest = tag.replace(PROPERTIES, (_, property: string, value: string) => {
      said.push(`${property}:${value}`);
      return '';
    });
    if (said.length === 0) return tag;
    const own = /\sstyle="([^"]*)"/.exec(rest)?.[1];
    const style = [...said, ...(own ? [own] : [])].join(';');
    return rest.replace(/\sstyle="[^"]*"/, '').replace(/\s*(\/?>)$/, ` style="${style}"$1`);
  });
}
