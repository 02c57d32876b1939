import config from './playwright.config.ts';

/** How long pages take from a hand to the screen, as `npm run bench` prints it; it asserts nothing. */
export default { ...config, testMatch: 'frames.ts', reporter: 'line', workers: 1, retries: 0 };
