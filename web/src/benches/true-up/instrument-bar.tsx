import { angleText, type ControlPrediction, finer, lengthText } from '@splay/core';
import { useEffect, useRef, useState } from 'react';
import { bluetoothInstrument } from '../../client/instruments/bluetooth.ts';
import type { Instrument, InstrumentReading } from '../../client/instruments/instrument.ts';
import { serialInstrument } from '../../client/instruments/serial.ts';
import type { BenchProps } from '../../client/bench-props.ts';

interface InstrumentBarProps {
  readonly format: BenchProps['job']['display'];
  /** The measurement at hand, and how far its ends lie apart, mm. */
  readonly control: ControlPrediction;
  readonly apart: number | null;
  readonly onTake: (mm: number) => void;
}

const INSTRUMENTS: readonly Instrument[] = [serialInstrument, bluetoothInstrument];

/** A laser or a digital level that is connected, and what it says of the measurement at hand: taken by a press, never by itself. */
export function InstrumentBar({ format, control, apart, onTake }: InstrumentBarProps) {
  const [connected, setConnected] = useState<string | null>(null);
  const [said, setSaid] = useState<InstrumentReading | null>(null);
  const [problem, setProblem] = useState('');
  const leave = useRef<(() => void) | null>(null);
  useEffect(() => () => leave.current?.(), []);
  const here = INSTRUMENTS.filter((each) => each.here());
  if (here.length === 0) return null;
  const connect = async (instrument: Instrument) => {
    setProblem('');
    try {
      leave.current = await instrument.connect(setSaid, (why) => {
        setConnected(null);
        setProblem(why);
      });
      setConnected(instrument.name);
    } catch (error) {
      // Whoever closes the browser's own question has not done anything wrong.
      if (!(error instanceof DOMException && error.name === 'NotFoundError'))
        setProblem(error instanceof Error ? error.message : 'The instrument could not be reached.');
    }
  };
  const shown = (mm: number) => lengthText(mm, finer(format), true);
  return (
    <section className="mt-2 border-t border-rule pt-2 text-sm" aria-label="Instrument">
      {connected === null ? (
        <p className="flex flex-wrap items-center gap-x-2 gap-y-1 text-pencil">
          Instrument:
          {here.map((each) => (
            <button key={each.name} type="button" className="button min-h-8" onClick={() => void connect(each)}>
              Connect {each.name.toLowerCase()}
            </button>
          ))}
        </p>
      ) : (
        <>
          <p className="flex items-center justify-between gap-2">
            <span className="text-pencil">
              {connected}: {said ? 'it reads' : 'press its key'}
            </span>
            <button
              type="button"
              className="min-h-8 underline underline-offset-2"
              onClick={() => {
                leave.current?.();
                leave.current = null;
                setConnected(null);
                setSaid(null);
              }}
            >
              Disconnect
            </button>
          </p>
          {said?.kind === 'distance' && control.kind !== 'rise' && (
            <p className="flex items-center justify-between gap-2">
              <b className="heading text-xl">{shown(said.mm)}</b>
              <button
                type="button"
                className="button"
                onClick={() => {
                  onTake(said.mm);
                  setSaid(null);
                }}
              >
                Save for {control.name}
              </button>
            </p>
          )}
          {said?.kind === 'angle' && (
            <p>
              <b className="heading text-xl">{angleText(said.radians, 2)}</b>
              {apart !== null && control.kind !== 'height' && (
                <>
                  : its far end is {shown(Math.abs(Math.tan(said.radians) * apart))}{' '}
                  {said.radians < 0 ? 'lower' : 'higher'} over {shown(apart)}
                </>
              )}
              {apart !== null && control.kind === 'rise' && (
                <button
                  type="button"
                  className="button ml-2"
                  onClick={() => {
                    onTake(Math.tan(said.radians) * apart);
                    setSaid(null);
                  }}
                >
                  Save for {control.name}
                </button>
              )}
            </p>
          )}
        </>
      )}
      {problem && (
        <p role="alert" className="text-oxide">
          {problem}
        </p>
      )}
    </section>
  );
}
