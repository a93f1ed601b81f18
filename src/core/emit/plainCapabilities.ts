import type { Capabilities } from '../look/features';
import { CSS_CAPABILITIES } from './css/capabilities';

/** What a platform draws that has boxes, gradients and shadows as CSS has them, but no filters and no blending. */
export function withoutFilters(name: string): Capabilities {
  return {
    name,
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
}
