import { useEffect, useState } from 'react';

interface TrustCheckProps {
  /** Where the server answers encrypted, and where plainly. */
  readonly secure: string;
  readonly plain: string;
}

/** Tries whether this device trusts the server, now and whenever somebody comes back to the page. */
export function TrustCheck({ secure, plain }: TrustCheckProps) {
  const [trusts, setTrusts] = useState<boolean | null>(null);
  useEffect(() => {
    const look = () =>
      fetch(`${secure}/icon.svg`, { mode: 'no-cors', cache: 'no-store' }).then(
        () => setTrusts(true),
        () => setTrusts(false),
      );
    void look();
    const timer = setInterval(() => void look(), 5000);
    return () => clearInterval(timer);
  }, [secure]);
  return (
    <div role="status">
      <p
        className={`mt-4 border-l-4 px-3 py-2 text-lg ${trusts ? 'border-passed bg-passed-wash' : 'border-ochre bg-ochre-wash'}`}
      >
        {trusts === null && 'Trying whether this device trusts the server …'}
        {trusts === true && 'This device trusts the server: what is sent is encrypted.'}
        {trusts === false &&
          'This device does not trust the server yet. Without that, what is sent is not encrypted, and Splay does not open while the connection is away; what you enter is kept on the device all the same.'}
      </p>
      <p className="mt-4 flex flex-wrap gap-3">
        {trusts === true && (
          <a className="button button-dark" href={`${secure}/`}>
            Open Splay
          </a>
        )}
        {trusts === false && (
          <a className="button" href={`${plain}/`}>
            Go on without encryption
          </a>
        )}
      </p>
    </div>
  );
}
