import { sheetEndpoint } from '../../../../server/http/sheet-endpoint.ts';
import { notAllowed } from '../../../../server/http/problem.ts';

export const GET = sheetEndpoint('propsPdf', 'props');

export const ALL = notAllowed('GET');
