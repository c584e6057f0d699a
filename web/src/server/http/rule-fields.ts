import { line } from './line-field.ts';

/** What a rule set is called, and why a version of it is made, as they are sent. */
export const ruleSetName = () => line(120).required('Name the rule set.').trim();
export const why = () => line(300).required('Say why: whoever reads it later was not there.').trim();
