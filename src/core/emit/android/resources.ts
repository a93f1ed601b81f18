import { element, type MarkupElement } from '../../markup/element';
import type { Look } from '../../look/look';
import type { Colour } from '../../mockup/paint';
import type { PageNode, TextNode } from '../../page/node';
import { mainFile } from '../../pictures/picture';
import { parseColour } from '../../read/svg/colours';
import { tokenSheet } from '../css/sheetTokens';
import { MarkedPrinter } from '../components/printing';
import type { EmitInput, EmittedFile } from '../target';
import { backgroundOf } from './drawables';
import { resourceFile } from './printXml';
import { stateList } from './stateSelectors';
import { resourceName, Resources } from './resourceNames';
import { androidColour, stringResource } from './values';
import { typeItems } from './views';

/** The resources that the layouts of a build share: each value once, under a name of its own. */
export class AndroidResources {
  private readonly colours = new Resources<string>();
  private readonly strings = new Resources<string>();
  private readonly styles = new Resources<readonly (readonly [string, string])[]>();
  private readonly drawables = new Resources<MarkupElement>();
  private readonly colourLists = new Resources<MarkupElement>();
  private readonly layouts = new Resources<MarkupElement>();
  private readonly shared = new Map<string, { readonly key: string; readonly name: string }>();

  constructor(private readonly input: Pick<EmitInput, 'pages' | 'sheet' | 'plan' | 'fonts'>) {
    for (const { kind, name, value } of tokenSheet(input).tokens) {
      const colour = kind === 'colour' ? parseColour(value) : null;
      if (colour) this.colours.name(name, androidColour(colour), () => androidColour(colour));
    }
  }

  /** The reference of a colour. */
  readonly colour = (colour: Colour): string => {
    const value = androidColour(colour);
    return `@color/${this.colours.name(`tint-${value.slice(1)}`, value, () => value)}`;
  };

  string(words: string): string {
    const wanted = words.split(/\s+/).slice(0, 5).join(' ').slice(0, 40);
    return `@string/${this.strings.name(/[\p{L}]/u.test(wanted) ? wanted : `text ${wanted}`, words, () => stringResource(words))}`;
  }

  /** The style of a text's letters, named after its class. */
  textStyle(node: TextNode): string {
    const items = typeItems(node, this.colour);
    const wanted = this.input.sheet.classOf(node)?.name ?? node.name;
    return `@style/${this.styles.name(`text-${wanted}`, JSON.stringify(items), () => items)}`;
  }

  /** What lies behind the content of a node, in each of its states; null for nothing. */
  background(node: PageNode): string | null {
    const wanted = this.input.sheet.classOf(node)?.name ?? node.name;
    const list = stateList(node, 'android:drawable', (look) => this.plainBackground(look, node, wanted));
    if (!list) return this.plainBackground(node.look, node, wanted);
    return `@drawable/${this.drawables.name(`bg-${wanted}-states`, JSON.stringify(list), () => list)}`;
  }

  private plainBackground(look: Look, { place }: PageNode, wanted: string): string | null {
    const background = backgroundOf(look, place, this.colour);
    if (background.kind === 'none') return null;
    if (background.kind === 'colour') return this.colour(background.colour);
    return `@drawable/${this.drawables.name(`bg-${wanted}`, JSON.stringify(background.root), () => background.root)}`;
  }

  /** The colours of a text in its states; null where it has one in all. */
  textColours(node: TextNode): string | null {
    const list = stateList(node, 'android:color', ({ type }) =>
      type?.colour ? this.colour(type.colour) : null,
    );
    if (!list) return null;
    const wanted = this.input.sheet.classOf(node)?.name ?? node.name;
    return `@color/${this.colourLists.name(`${wanted}-states`, JSON.stringify(list), () => list)}`;
  }

  /** A block that several screens share, as a layout of its own; null for one that differs from the first. */
  included(node: PageNode, view: MarkupElement): string | null {
    const pattern = node.furniture?.pattern;
    if (pattern === undefined) return null;
    const key = JSON.stringify(view, (name, value: unknown) => (name === 'origin' ? undefined : value));
    const known = this.shared.get(pattern);
    if (known) return known.key === key ? `@layout/${known.name}` : null;
    const name = this.layouts.name(`shared-${node.name}`, pattern, () => view);
    this.shared.set(pattern, { key, name });
    return `@layout/${name}`;
  }

  picture(name: string): string {
    const file = mainFile(this.input.plan, name)?.path ?? name;
    const base = (file.split('/').at(-1) ?? file).replace(/\.\w+$/, '');
    return `@drawable/${resourceName(base)}`;
  }

  files(): readonly EmittedFile[] {
    const values = (kind: string, inner: readonly MarkupElement[]): EmittedFile[] =>
      inner.length === 0
        ? []
        : [{ path: `res/values/${kind}.xml`, text: printed(element('resources', {}, inner)) }];
    return [
      ...values(
        'colors',
        this.colours.entries().map(([name, value]) => element('color', { name }, [value])),
      ),
      ...values(
        'strings',
        this.strings
          .entries()
          .map(([name, words]) =>
            element('string', { name, formatted: /%.*%/.test(words) ? 'false' : null }, [words]),
          ),
      ),
      ...values(
        'styles',
        this.styles.entries().map(([name, items]) =>
          element(
            'style',
            { name },
            items.map(([key, value]) => element('item', { name: key }, [value])),
          ),
        ),
      ),
      ...this.drawables
        .entries()
        .map(([name, root]) => ({ path: `res/drawable/${name}.xml`, text: printed(root) })),
      ...this.colourLists
        .entries()
        .map(([name, root]) => ({ path: `res/color/${name}.xml`, text: printed(root) })),
      ...this.layouts
        .entries()
        .map(([name, root]) => ({ path: `res/layout/${name}.xml`, text: printed(root) })),
    ];
  }
}

function printed(root: MarkupElement): string {
  return new MarkedPrinter().printLines(resourceFile(root)).text;
}
