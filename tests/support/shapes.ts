import { only, readInside } from './mockups';
import type { ShapeLayer } from '../../src/core/mockup/layer';

export const PIXEL =
  'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAIAAAABCAYAAAD0In+KAAAAD0lEQVR42mP8z8BQz0AEAAAJAwEBTHNTgAAAAABJRU5ErkJggg==';

export function shape(reading: ReturnType<typeof readInside>): ShapeLayer {
  return only(reading, 'shape');
}
