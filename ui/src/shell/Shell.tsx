import { Button, Modal, Switch } from 'antd';
import { Suspense, lazy, useEffect, useMemo, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { useAhead } from '../data/ahead';
import { HatchDefs } from '../draw/Hatch';
import { useStayingAwake } from '../parts/useAwake';
import { useQuiet } from '../parts/useQuiet';
import { LogContext } from '../parts/useLog';
import { KEYS_ON, useKey, usePasted } from '../parts/useKey';
import { useStored } from '../data/useStored';
import { KEYS } from './keys';
import { Notices } from './Notices';
import { StandingLine } from './StandingLine';
import { VIEWS } from './views';
import './shell.css';

const logDialog = () => import('../log/LogDialog');
const CorrectDialog = lazy(async () => ({ default: (await import('../log/CorrectDialog')).CorrectDialog }));
const Find = lazy(async () => ({ default: (await import('./Find')).Find }));
const MendDialog = lazy(async () => ({ default: (await import('../log/MendDialog')).MendDialog }));
const PasteDialog = lazy(async () => ({ default: (await import('../log/PasteDialog')).PasteDialog }));
const LogDialog = lazy(async () => ({ default: (await logDialog()).LogDialog }));

/** Once a page was quiet that long, or stood so long, what logs is at hand, whether or not the server still is. */
const QUIET_MS = 2_500;
const AT_HAND_MS = 6_000;

/** What stands around every view: the spine, the standing line, the log dialog and the keys. */
export function Shell() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [keysOn, setKeysOn] = useStored(KEYS_ON, true);
  const [logging, setLogging] = useState(false);
  const [help, setHelp] = useState(false);
  const [finding, setFinding] = useState(false);
  const [correcting, setCorrecting] = useState<number | null>(null);
  const [mending, setMending] = useState<string | null>(null);
  const [pasting, setPasting] = useState<string | null>(null);
  const log = useMemo(
    () => ({
      open: () => setLogging(true),
      paste: () => setPasting(''),
      correct: setCorrecting,
      mend: setMending,
    }),
    [],
  );
  const quiet = useQuiet(QUIET_MS, AT_HAND_MS);
  useAhead(quiet);
  useStayingAwake();
  useEffect(() => {
    if (quiet) {
      void logDialog().catch(() => undefined);
    }
  }, [quiet]);
  useKey('1234567', (key) => void navigate(VIEWS[Number(key) - 1]?.path ?? '/'));
  useKey('r', () => setLogging(true));
  useKey('v', () => setPasting(''));
  usePasted(setPasting);
  useKey('m', () => void navigate('/measure'));
  useKey('a', () => void navigate('/arrive'));
  useKey('w', () => void navigate('/why'));
  useKey('t', () => void navigate('/trials?plan'));
  useKey('?', () => setHelp(true));
  useKey('/', () => setFinding(true));
  return (
    <LogContext value={log}>
      <HatchDefs />
      <a className="skip" href="#sheet">
        Skip to content
      </a>
      <div className="page">
        <nav className="spine" aria-label="Views">
          <div className="mark" aria-hidden="true">
            <svg width="26" height="26" viewBox="0 0 26 26">
              <path d="M5 24V3" stroke="currentColor" strokeWidth="2" />
              <path d="M5 3L22 8.5L5 14Z" fill="var(--kelp)" />
            </svg>
          </div>
          {VIEWS.map((view, i) => (
            <NavLink key={view.path} to={view.path}>
              <span className="long">{view.name}</span>
              <span className="strip">{view.strip}</span> <i aria-hidden="true">{i + 1}</i>
            </NavLink>
          ))}
        </nav>
        <StandingLine find={() => setFinding(true)} />
        <Notices />
        <Suspense fallback={<div className="sheet" />}>
          <Outlet />
        </Suspense>
      </div>
      <div className="thumbs">
        <Button type="primary" className="thumb" onClick={log.open}>
          Log a reading
        </Button>
        {pathname !== '/measure' && <Button onClick={() => void navigate('/measure')}>Measure now</Button>}
      </div>
      {logging && (
        <Suspense>
          <LogDialog close={() => setLogging(false)} />
        </Suspense>
      )}
      {pasting !== null && (
        <Suspense>
          <PasteDialog
            pasted={pasting}
            close={() => setPasting(null)}
            edit={() => {
              setPasting(null);
              setLogging(true);
            }}
          />
        </Suspense>
      )}
      {correcting !== null && (
        <Suspense>
          <CorrectDialog id={correcting} close={() => setCorrecting(null)} />
        </Suspense>
      )}
      {mending !== null && (
        <Suspense>
          <MendDialog id={mending} close={() => setMending(null)} />
        </Suspense>
      )}
      {finding && (
        <Suspense>
          <Find close={() => setFinding(false)} />
        </Suspense>
      )}
      <Modal title="Keys" open={help} onCancel={() => setHelp(false)} footer={null} width={420}>
        <dl className="keys">
          {KEYS.map(([key, does]) => (
            <div key={key}>
              <dt>
                <kbd aria-hidden="true">{key}</kbd>
              </dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
        <p className="quiet">Keys do nothing while you type in a field.</p>
        <label>
          <Switch size="small" checked={keysOn} onChange={setKeysOn} /> Single keys
        </label>
      </Modal>
    </LogContext>
  );
}
