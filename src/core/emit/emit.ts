import { pageOfScreen } from '../page/join/joinPages';
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
  const { pages } = input;
  const screens = input.mockup.screens.flatMap(({ key, name, width, height }) => {
    const page = pageOfScreen(pages, key);
    return page ? [{ name, width, height, file: target.pageFile(pages, pages.indexOf(page)) }] : [];
  });
  return { screens, files: target.emit(input) };
}
