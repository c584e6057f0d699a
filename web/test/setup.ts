import { freezeDocuments } from '@splay/core';

freezeDocuments(true);
