/** Something that a person chooses about the output of a target. */
export interface TargetOption {
  readonly label: string;
  /** The values with the words for them; the first is the usual one. */
  readonly values: Readonly<Record<string, string>>;
  /** Absent for every mockup. */
  readonly isFor?: 'several screens';
}

/** The options of a target by their names. */
export type TargetOptions = Readonly<Record<string, TargetOption>>;

/** What a person chose, by the names of the options; what is left out has the usual value. */
export type TargetSettings = Readonly<Record<string, string>>;

/** The value of an option: the chosen one, or the usual one. */
export function settingOf<Options extends TargetOptions, Name extends keyof Options & string>(
  options: Options,
  settings: TargetSettings,
  name: Name,
): keyof Options[Name]['values'] & string {
  return (settings[name] ?? usualSettings(options)[name]) as keyof Options[Name]['values'] & string;
}

/** The usual value of every option. */
export function usualSettings(options: TargetOptions): TargetSettings {
  return Object.fromEntries(
    Object.entries(options).map(([name, { values }]) => [name, Object.keys(values)[0] ?? '']),
  );
}

/** The settings that a target knows, of those that a person chose for another. */
export function knownSettings(options: TargetOptions, settings: TargetSettings): TargetSettings {
  return Object.fromEntries(
    Object.entries(settings).filter(
      ([name, value]) => problemOfSettings(options, { [name]: value }) === null,
    ),
  );
}

/** What is wrong with settings, in a sentence; null for nothing. */
export function problemOfSettings(options: TargetOptions, settings: TargetSettings): string | null {
  for (const [name, value] of Object.entries(settings)) {
    const option = Object.hasOwn(options, name) ? options[name] : undefined;
    if (!option) return `There is no option ${name}; there is ${Object.keys(options).join(', ') || 'none'}.`;
    if (!Object.hasOwn(option.values, value))
      return `The option ${name} is ${Object.keys(option.values).join(' or ')}, not ${value}.`;
  }
  return null;
}
