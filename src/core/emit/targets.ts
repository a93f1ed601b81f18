import { android } from './android/android';
import { html } from './html/html';
import { qml } from './qml/qml';
import { react } from './react/react';
import { vue } from './vue/vue';
import { WEB_FONTS, type FontSupport, type Target } from './target';

/** Every kind of output. Adding one is a folder and a line here. */
export const TARGETS = { html, react, vue, qml, android } as const satisfies Readonly<Record<string, Target>>;

export type TargetName = keyof typeof TARGETS;
export const TARGET_NAMES = Object.keys(TARGETS) as readonly TargetName[];

/** Where the platform of a target looks for fonts. */
export function fontSupportOf(name: TargetName): FontSupport {
  const target: Target = TARGETS[name];
  return target.fonts ?? WEB_FONTS;
}
