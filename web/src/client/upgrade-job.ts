/** What brings a job of an older version up: loaded only where one is met. */
export { checkJob } from '@splay/core';
