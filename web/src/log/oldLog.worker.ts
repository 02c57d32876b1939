import '../zodWithoutEval.ts';
import { expose } from 'comlink';
import { createOldLogReader } from './oldLogReader.ts';

expose(createOldLogReader());
