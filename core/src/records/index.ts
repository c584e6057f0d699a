export {
  ATTACHMENT_LIMIT,
  ATTACHMENT_TYPES,
  type Attachment,
  attachmentSchema,
  type AttachmentType,
} from './attachment.ts';
export { checkRecord, recordSchema, upgradeRecord } from './check-record.ts';
export {
  CAUTION_STEPS,
  type CautionStep,
  CORRECTION_WAYS,
  type CorrectionWay,
  type GateSignedBody,
  type HandoffBody,
  type PhotoBody,
  type PhotoPlace,
} from './kinds.ts';
export type { PullMeasuredBody } from './weld-kinds.ts';
export { readingOf, readingsIn, recordOfReading } from './readings.ts';
export { handoffIn } from './handoff.ts';
export {
  columnsOf,
  inOrderOfTime,
  newRecord,
  recordName,
  type RecordKind,
  recordProblem,
  type ShopRecord,
  standing,
} from './record.ts';
