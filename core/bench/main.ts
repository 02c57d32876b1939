import { benchFit } from './fit.ts';
import { benchForecast } from './forecast.ts';
import { benchMenu, menuAgainMs, solveMenu } from './menu.ts';
import { benchReplan, replan } from './replan.ts';
import { benchDraws, benchPlanning } from './planning.ts';
import { medianMs } from './timed.ts';

const FRAME_MS = 16;

const menu = benchMenu();
const rows = [benchReplan(), menu];
console.log(
  '| what | ours, ms | baseline | its ms | times as fast | largest relative difference |',
);
console.log('|---|---|---|---|---|---|');
for (const { name, baseline, oursMs, baselineMs, difference } of rows)
  console.log(
    `| ${name} | ${oursMs.toFixed(2)} | ${baseline} | ${baselineMs.toFixed(1)} | ${(baselineMs / oursMs).toFixed(0)} | ${difference.toExponential(1)} |`,
  );

console.log(
  `\n${menu.residuals} The whole menu of forty: ${((100 * menu.oursMs) / FRAME_MS).toFixed(0)} % of a ${FRAME_MS} ms frame.`,
);
const againMs = menuAgainMs();
console.log(
  `After a pour, from the last answers: ${againMs.toFixed(2)} ms, ${(menu.baselineMs / againMs).toFixed(0)} times as fast as the general solver, which has none.`,
);

const together = medianMs({
  run: () => {
    replan();
    solveMenu();
  },
  forMs: 1500,
});
console.log(
  `\nA re-plan and a menu together: ${together.toFixed(2)} ms, ${((100 * together) / FRAME_MS).toFixed(0)} % of a ${FRAME_MS} ms frame.`,
);

console.log(`\n${benchPlanning(FRAME_MS).join('\n')}\n\n${benchDraws().join('\n')}`);
console.log(`\n${benchForecast().join('\n')}`);
console.log(`\n${benchFit().join('\n')}`);
