/** What brings two versions of a job together, and says what changed: loaded only when another version comes. */
export { checkJob, jobChanges, mergeJobs, takingTheirs } from '@splay/core';
