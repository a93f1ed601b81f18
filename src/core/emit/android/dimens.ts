import type { MarkupElement } from '../../markup/element';

/** Lengths between and around views: what a style sheet calls space. */
const SPACE = /^android:(?:layout_margin|padding)/;

/**
 * Views whose distances are the named ones of the build.
 * @param nameOf the reference of a length in px; null for one without a name
 */
export function withDimens(view: MarkupElement, nameOf: (length: number) => string | null): MarkupElement {
  const attributes = Object.entries(view.attributes).map(([name, value]) => {
    const length = typeof value === 'string' && SPACE.test(name) ? /^([\d.]+)dp$/.exec(value) : null;
    return [name, (length && nameOf(Number(length[1]))) ?? value] as const;
  });
  const children = view.children.map((child) =>
    typeof child === 'string' ? child : withDimens(child, nameOf),
  );
  return { ...view, attributes: Object.fromEntries(attributes), children };
}
