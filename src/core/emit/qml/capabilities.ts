import { CSS_CAPABILITIES } from '../css/capabilities';
import type { Capabilities } from '../../look/features';

/** What Qt Quick 6 draws without effects of the graphics card: what CSS draws, apart from filters and blending. */
export const QML_CAPABILITIES: Capabilities = {
  name: 'Qt Quick',
  draws: {
    ...CSS_CAPABILITIES.draws,
    blur: false,
    'colour-filter': false,
    'inner-shadow': false,
    'blend-mode': false,
    'letter-outline': false,
    'mirrored-gradient': true,
  },
};
