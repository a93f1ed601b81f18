import { html } from './html/html';
import type { Target, TargetName } from './target';

/** Every kind of output. Adding one is a folder and a line here. */
export const TARGETS = { html } as const satisfies Readonly<Record<TargetName, Target>>;
