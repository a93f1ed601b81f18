import { existsSync, readFileSync } from 'node:fs';

/** Adds up what the test runners wrote; a step that failed without a failing test counts as one failure. */
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);
const failedSteps = Number(process.argv[2] ?? 0);
const jest = read('.orden/jest.json');
const playwright = read('.orden/playwright.json');
const passed = (jest?.numPassedTests ?? 0) + (playwright?.stats.expected ?? 0);
const failedTests = (jest?.numFailedTests ?? 0) + (playwright?.stats.unexpected ?? 0);
const missing = (jest ? 0 : 1) + (playwright ? 0 : 1);
const failed = Math.max(failedTests + missing, failedSteps);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
