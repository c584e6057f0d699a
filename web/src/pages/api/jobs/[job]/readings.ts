import * as yup from 'yup';
import { checkReading } from '@splay/core';
import { readJson, SMALL_LIMIT } from '../../../../server/http/body.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { json } from '../../../../server/http/problem.ts';
import { addReadings, listReadings } from '../../../../server/services/jobs.ts';

const sentReadings = yup.array(yup.mixed().required()).strict().min(1).max(200).required();

export const GET = endpoint(async ({ member, job }) => json(await listReadings(member, job)));

/** Adds readings, each with an id of its device's making: sending again after a lost answer stores nothing twice. */
export const POST = endpoint(async ({ member, job, request }) => {
  const sent = await readJson(request, sentReadings, SMALL_LIMIT);
  return json(await addReadings(member, job, sent.map(checkReading)));
});
