import '../zodWithoutEval.ts';
import { expose } from 'comlink';
import { createMenuCounter } from './menuCounter.ts';

expose(createMenuCounter());
