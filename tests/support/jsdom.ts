import { TextDecoder, TextEncoder } from 'node:util';

// jsdom lacks these standard classes.
Object.assign(globalThis, { TextDecoder, TextEncoder });
