import { MARKUP } from '../components/components';
import type { ComponentStyle } from '../components/generalise';
import { kebabCase } from '../components/identifiers';

/** Names of at least two words, so that none is ever an element of HTML (style guide of Vue, multi-word component names). */
export const WORDY: ComponentStyle = { ...MARKUP, isName: (name) => kebabCase(name).includes('-') };
