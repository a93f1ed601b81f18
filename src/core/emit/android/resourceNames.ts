import { freeName } from '../../markup/freeName';
import { resourceName } from '../../sort/outputNames';

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
