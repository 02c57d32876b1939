export { onPhone } from './onPhone.ts';
export { smallPhotograph } from './photograph.ts';
export { saveFile } from './saveFile.ts';
export { useKeys } from './useKeys.ts';
export { useOneFile } from './useOneFile.ts';
export { usePanelBeside } from './usePanelBeside.ts';
export { useTypedAhead } from './useTypedAhead.ts';
export { whenIdle } from './whenIdle.ts';
export type { Page } from './page.ts';
