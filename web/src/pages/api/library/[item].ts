import { writeItem } from '@splay/core';
import { endpoint, uuidOf } from '../../../server/http/endpoint.ts';
import { download, json, notAllowed } from '../../../server/http/problem.ts';
import { dropItem, readItem } from '../../../server/services/library.ts';

/** One item as an open file. */
export const GET = endpoint(async ({ member, param }) => {
  const item = await readItem(member, uuidOf(param('item')));
  return download(writeItem(item), 'application/json', item.item.name, 'splay-item.json');
});

export const DELETE = endpoint(async ({ member, param }) => {
  await dropItem(member, uuidOf(param('item')));
  return json({});
});

export const ALL = notAllowed('GET, DELETE');
