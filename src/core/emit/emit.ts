import type { LayerId } from '../mockup/layer';
import type { Point } from '../mockup/matrix';
import { pageOfScreen } from '../page/join/joinPages';
import type { EmitInput, Target, TargetOutput } from './target';

export interface EmittedScreen {
  readonly id: LayerId;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  /** Its top left corner on the sheet, px. */
  readonly origin: Point;
  readonly file: string;
  /** The file that shows it as it is drawn. Absent where that is its own file, or nothing. */
  readonly shown?: string;
}

export interface Emission extends TargetOutput {
  readonly screens: readonly EmittedScreen[];
}

/** Writes the pages for a target. */
export function emit(target: Target, input: EmitInput): Emission {
  const { pages } = input;
  const screens = input.mockup.screens.flatMap(({ id, name, width, height, origin }) => {
    const page = pageOfScreen(pages, id);
    return page
      ? [{ id, name, width, height, origin, file: target.pageFile(pages, pages.indexOf(page)) }]
      : [];
  });
  return { screens, ...target.emit(input) };
}
