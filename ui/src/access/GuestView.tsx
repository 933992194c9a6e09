import { useEffect, useState } from 'react';
import { useLogIn } from '../data/access';
import { takeSecret } from './secret';
import './access.css';

/** Where a guest's link leads: it is let in to read its one page, which `Entry` then shows. */
export function GuestView() {
  const [word] = useState(takeSecret);
  const { mutate, error } = useLogIn();
  useEffect(() => {
    document.title = 'A page to read · Syntoma';
    if (word !== '') {
      mutate({ guest: word });
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- asked once
  }, []);
  return (
    <div className="door">
      <main>
        {word === '' || error ? (
          <>
            <h1>This link does not lead anywhere any more.</h1>
            <p role="alert">{error?.message ?? 'The address has no word in it.'} Ask for another one.</p>
          </>
        ) : (
          <p>Opening the page…</p>
        )}
      </main>
    </div>
  );
}
