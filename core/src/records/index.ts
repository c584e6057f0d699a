export {
  ATTACHMENT_LIMIT,
  ATTACHMENT_TYPES,
  type Attachment,
  attachmentSchema,
  type AttachmentType,
} from './attachment.ts';
export { type RecordColumn, type RecordDefinition } from './definition.ts';
export {
  CAUTION_STEPS,
  type CautionStep,
  CORRECTION_WAYS,
  type CorrectionBody,
  type CorrectionWay,
  type FitUpBody,
  type GateSignedBody,
  type PhotoBody,
} from './kinds.ts';
export { readingOf, readingsIn, recordOfReading } from './readings.ts';
export {
  checkRecord,
  columnsOf,
  inOrderOfTime,
  newRecord,
  recordName,
  RECORD_KINDS,
  type RecordKind,
  recordProblem,
  recordSchema,
  type ShopRecord,
  standing,
  upgradeRecord,
} from './record.ts';
