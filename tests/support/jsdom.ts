import { TextDecoder, TextEncoder } from 'node:util';

// jsdom lacks what every browser has.
Object.assign(globalThis, { TextDecoder, TextEncoder });
