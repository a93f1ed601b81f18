import type { EmitInput, EmittedFile, Target } from './target';

export interface EmittedScreen {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly file: string;
}

export interface Emission {
  readonly screens: readonly EmittedScreen[];
  readonly files: readonly EmittedFile[];
}

/** Writes the pages for a target. */
export function emit(target: Target, input: EmitInput): Emission {
  const screens = input.pages.map(({ name, width, height }, at) => ({
    name,
    width,
    height,
    file: target.pageFile(input.pages, at),
  }));
  return { screens, files: target.emit(input) };
}
