import type { EmittedScreen } from '../../core/emit/emit';
import type { TargetName } from '../../core/emit/targets';
import type { OutputFile } from '../produce';
import { renderQml } from './qml';
import { renderReact } from './react';
import { renderVue } from './vue';

/** The files of a build on disk, and its screens. */
export interface RenderInput {
  readonly folder: string;
  readonly screens: readonly EmittedScreen[];
  /** The language of the page's words, a BCP 47 tag. */
  readonly language: string;
}

/** What a build really draws: the files that show it, and for each screen the path of the one to open. */
export interface Rendered {
  readonly files: readonly OutputFile[];
  /** By the ids of screens. */
  readonly shown: ReadonlyMap<string, string>;
}

/** Draws the screens of a build by the target's own tools. @throws NoChromium, or NoToolchain, where these are missing */
export type Renderer = (input: RenderInput) => Promise<Rendered>;

/** The renderers of targets whose files no browser opens by themselves. */
export const RENDERERS: Readonly<Partial<Record<TargetName, Renderer>>> = {
  react: renderReact,
  vue: renderVue,
  qml: renderQml,
};
