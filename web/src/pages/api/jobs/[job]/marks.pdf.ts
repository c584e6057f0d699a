import { sheetEndpoint } from '../../../../server/http/sheet-endpoint.ts';
import { notAllowed } from '../../../../server/http/problem.ts';

export const GET = sheetEndpoint('marksPdf', 'marks');

export const ALL = notAllowed('GET');
