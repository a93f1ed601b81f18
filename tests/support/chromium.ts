export { CHROMIUM, launchChromium } from '../../src/engine/proof/chromium';
