// Loaded when a list is: a reader of drawings is too much for the first view.
export { pointsOfCsv, pointsOfDxf, withPoints } from '@splay/core';
