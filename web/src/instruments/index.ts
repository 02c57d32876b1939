export { useInstrumentFeed } from './instrumentFeed.ts';
export { useInstruments } from './instruments.ts';
export { instrumentsPages } from './pages.ts';
