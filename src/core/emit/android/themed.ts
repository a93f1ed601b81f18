import { element, type MarkupElement } from '../../markup/element';

/** How a theme says an attribute of a view (Android, Declare style attributes: `format`). */
export interface ThemedAttribute {
  readonly format: string;
  /** The words that stand for numbers; empty for none. */
  readonly values: readonly (readonly [name: string, value: string])[];
  /** What says the same as no attribute; null where none does, so that all views have to say it. */
  readonly absent: string | null;
}

/** The sizes that are no lengths (Android, `ViewGroup.LayoutParams`). */
const SIZES = [
  ['match_parent', '-1'],
  ['wrap_content', '-2'],
] as const;

const length = (absent: string | null): ThemedAttribute => ({ format: 'dimension', values: [], absent });
const size: ThemedAttribute = { format: 'dimension', values: SIZES, absent: null };
const factor = (absent: string): ThemedAttribute => ({ format: 'float', values: [], absent });
const paint = (absent: string | null): ThemedAttribute => ({ format: 'reference|color', values: [], absent });
const words: ThemedAttribute = { format: 'string', values: [], absent: '@null' };
const resource: ThemedAttribute = { format: 'reference', values: [], absent: null };

/** The attributes of views that may differ between uses of a layout, since a theme can say them. */
const THEMED: Readonly<Record<string, ThemedAttribute>> = {
  style: resource,
  'android:alpha': factor('1'),
  'android:background': paint('@null'),
  'android:contentDescription': words,
  'android:elevation': length('0dp'),
  'android:hint': words,
  'android:layout_height': size,
  'android:layout_marginBottom': length('0dp'),
  'android:layout_marginEnd': length('0dp'),
  'android:layout_marginStart': length('0dp'),
  'android:layout_marginTop': length('0dp'),
  'android:layout_weight': factor('0'),
  'android:layout_width': size,
  'android:minHeight': length('0dp'),
  'android:paddingBottom': length('0dp'),
  'android:paddingEnd': length('0dp'),
  'android:paddingStart': length('0dp'),
  'android:paddingTop': length('0dp'),
  'android:rotation': factor('0'),
  'android:scaleX': factor('1'),
  'android:scaleY': factor('1'),
  'android:src': resource,
  'android:text': words,
  'android:textColor': paint(null),
};

/** Whether a view is there (Android, `android:visibility`). */
export const VISIBILITY: ThemedAttribute = {
  format: 'enum',
  values: [
    ['visible', '0'],
    ['gone', '2'],
  ],
  absent: 'gone',
};

/** Null for an attribute that is the same in all uses of a layout. */
export function themedAttribute(name: string): ThemedAttribute | null {
  return THEMED[name] ?? null;
}

/** Attributes of which the editor, or the layout around a use, has the only one that counts. */
export function isOfFirstUse(name: string): boolean {
  return name === 'android:id' || name.startsWith('tools:');
}

/** The attributes that stand where a layout is used, not in it. */
export function isOfPlace(name: string): boolean {
  return name === 'android:id' || name === 'android:visibility' || name.startsWith('android:layout_');
}

/** The declaration of a themed attribute. */
export function attributeElement(name: string, { format, values }: ThemedAttribute): MarkupElement {
  const words = values.map(([word, value]) => element('enum', { name: word, value }));
  return element('attr', { name, format: format === 'enum' ? null : format }, words);
}
