import { build, ensureInstalled } from './tools.mjs';

ensureInstalled();
build();
