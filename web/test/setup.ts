import { freezeDocuments } from '@splay/core';

freezeDocuments(true);

// There is nothing to draw a chart on here: what it shows stands in a table too.
if (typeof HTMLCanvasElement !== 'undefined') HTMLCanvasElement.prototype.getContext = () => null;
