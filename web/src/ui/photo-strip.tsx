import { inches, type PhotoBody, type PhotoPlace, type Ref, sameRef, type ShopRecord, standing } from '@splay/core';
import { Camera } from 'lucide-react';
import { useId, useState } from 'react';
import { api } from '../client/api.ts';
import { shrinkPicture } from '../client/shrink-picture.ts';

interface PhotoStripProps {
  /** What the pictures are of, a thing or a place of a rail. */
  readonly of: Ref | PhotoPlace;
  readonly name: string;
  readonly records: readonly ShopRecord[];
  readonly disabled: boolean;
  readonly onPhoto: (photo: PhotoBody) => void;
}

/** A station measured again within this is the same place, mm. */
const SAME_PLACE = inches(1);

const isSamePlace = (a: PhotoPlace, b: PhotoPlace) =>
  Math.abs(a.x - b.x) < SAME_PLACE && (a.side === null || b.side === null || a.side === b.side);

/** Pictures of one thing, and one press to take another: made small on this device, then sent. */
export function PhotoStrip({ of, name, records, disabled, onPhoto }: PhotoStripProps) {
  const id = useId();
  const [said, setSaid] = useState('');
  const photos = standing(records, 'photo').filter(({ body }) =>
    'x' in of ? body.at !== undefined && isSamePlace(body.at, of) : body.of !== null && sameRef(body.of, of),
  );
  const take = async (file: File | undefined) => {
    if (!file) return;
    setSaid('sending …');
    const shrunk = await shrinkPicture(file);
    if (!shrunk) return setSaid('This is not a picture that can be read: take it as JPEG, PNG or WebP.');
    const { picture, width, height } = shrunk;
    const answer = await api.sendPicture(picture);
    if (!answer.ok)
      return setSaid(
        answer.reason === 'offline'
          ? 'No connection: the picture was not sent. It is still on your device; add it again later.'
          : (answer.problems[0]?.message ?? answer.detail),
      );
    const what = 'x' in of ? { of: null, at: of } : { of };
    onPhoto({ ...what, note: '', attachment: answer.value.hash, width, height });
    setSaid('');
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      {photos.map(({ id: photo, body, by, taken }) => (
        <a
          key={photo}
          href={`/api/attachments/${body.attachment}`}
          target="_blank"
          rel="noreferrer"
          title={`${by}, ${taken.slice(0, 10)}`}
        >
          <img
            src={`/api/attachments/${body.attachment}`}
            alt={`${name}, by ${by}, ${taken.slice(0, 10)}`}
            width={body.width}
            height={body.height}
            className="h-16 w-auto border border-graphite"
          />
        </a>
      ))}
      {!disabled && (
        <label htmlFor={id} className="button cursor-pointer">
          <Camera size={14} aria-hidden="true" />
          Photo
          <input
            id={id}
            type="file"
            accept="image/*"
            capture="environment"
            className="sr-only"
            aria-label={`Photo of ${name}`}
            onChange={(event) => {
              void take(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
      )}
      {said && (
        <p role="status" className="text-sm text-pencil">
          {said}
        </p>
      )}
    </div>
  );
}
