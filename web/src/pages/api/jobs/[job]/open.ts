import { endpoint } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { readWithRecords } from '../../../../server/services/records.ts';
import type { OpenedJob } from '../../../../shared/opened-job.ts';
import { mayRecord, mayWrite } from '../../../../shared/roles.ts';

/** All that a page needs to open a job. */
export const GET = endpoint(async ({ member, job }) => {
  const { saved, records } = await readWithRecords(member, job);
  const { role, name, userId } = member;
  return json({
    saved,
    records,
    canWrite: mayWrite(role),
    canRecord: mayRecord(role),
    memberName: name,
    shopName: member.shopName,
    me: userId,
  } satisfies OpenedJob);
});

export const ALL = notAllowed('GET');
