import config from './playwright.config.ts';

/** Pictures of the main views for the README, from the demo data on the lido's frozen morning. */
export default { ...config, testMatch: 'shots.ts', reporter: 'list', workers: 1 };
