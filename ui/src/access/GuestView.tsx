import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useLogIn } from '../data/access';
import { takeSecret } from './secret';
import './access.css';

/** Where a guest's link leads: it is admitted to read its one page, which `Entry` then shows. */
export function GuestView() {
  const [word] = useState(takeSecret);
  const { mutate, error } = useLogIn();
  const navigate = useNavigate();
  useEffect(() => {
    document.title = 'A page to read · Syntoma';
    if (word !== '') {
      // which page it is knows the session
      mutate({ guest: word }, { onSuccess: () => void navigate('/tonight', { replace: true }) });
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
