// Mocha's short report, and its totals in a file for the script that adds up all runners.
const { writeFileSync } = require('node:fs');
const { reporters } = require('mocha');

module.exports = class extends reporters.Dot {
  constructor(runner, options) {
    super(runner, options);
    runner.once('end', () => {
      const { passes, failures } = runner.stats;
      writeFileSync(
        'test-results/mocha.json',
        JSON.stringify({ passed: passes, failed: failures }),
      );
    });
  }
};
