import { sheetEndpoint } from '../../../../server/http/sheet-endpoint.ts';
import { notAllowed } from '../../../../server/http/problem.ts';

export const GET = sheetEndpoint('standsPdf', 'stands');

export const ALL = notAllowed('GET');
