import { freeName } from '../../markup/freeName';
import { safeName } from '../../sort/outputNames';

/** Words that no resource may be called, since its name becomes a field of Java (Java Language Specification, §3.9). */
const RESERVED = new Set(
  `abstract assert boolean break byte case catch char class const continue default do double else enum extends final
  finally float for goto if implements import instanceof int interface long native new package private protected public
  return short static strictfp super switch synchronized this throw throws transient try void volatile while true false
  null`.split(/\s+/),
);

/** The name of a resource: lower case letters, digits and underscores, beginning with a letter (Android, App resources). */
export function resourceName(name: string): string {
  const plain = safeName(name).replaceAll('-', '_') || 'part';
  return RESERVED.has(plain) ? `${plain}_part` : plain;
}

/** The id of a view: in lowerCamelCase. */
export function viewId(name: string): string {
  return resourceName(name).replace(/_(\w)/g, (_, letter: string) => letter.toUpperCase());
}

/** Resources of one kind: each content once, under a name of its own. */
export class Resources<Content> {
  private readonly byKey = new Map<string, string>();
  private readonly byName = new Map<string, Content>();

  /** The name of a content: the one it has, or the first free one. */
  name(wanted: string, key: string, content: () => Content): string {
    const known = this.byKey.get(key);
    if (known !== undefined) return known;
    const base = resourceName(wanted);
    const name = resourceName(freeName(base, (each) => this.byName.has(resourceName(each))));
    this.byKey.set(key, name);
    this.byName.set(name, content());
    return name;
  }

  /** All of them by their names. */
  entries(): readonly (readonly [name: string, content: Content])[] {
    return [...this.byName].sort(([one], [other]) => (one < other ? -1 : 1));
  }
}
