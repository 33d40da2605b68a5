import type { Linter } from 'eslint';

declare const rooms: Linter.Config;
export default rooms;
