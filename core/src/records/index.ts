export {
  ATTACHMENT_LIMIT,
  ATTACHMENT_TYPES,
  type Attachment,
  attachmentSchema,
  type AttachmentType,
} from './attachment.ts';
export { checkRecord, recordSchema, upgradeRecord } from './check-record.ts';
export { type RecordColumn, type RecordDefinition } from './definition.ts';
export {
  CAUTION_STEPS,
  type CautionStep,
  CORRECTION_WAYS,
  type CorrectionBody,
  type CorrectionWay,
  type FitUpBody,
  type GateSignedBody,
  type HandoffBody,
  type PhotoBody,
  type PhotoPlace,
  type SheetIssuedBody,
} from './kinds.ts';
export { readingOf, readingsIn, recordOfReading } from './readings.ts';
export { handoffIn } from './handoff.ts';
export {
  columnsOf,
  inOrderOfTime,
  newRecord,
  recordName,
  RECORD_KINDS,
  type RecordKind,
  recordProblem,
  type ShopRecord,
  standing,
} from './record.ts';
