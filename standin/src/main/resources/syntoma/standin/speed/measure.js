// Makes one run in this browser: samples and answers, nothing calculated from them but the rate that is shown meanwhile.
// What came of it goes back to Syntoma in the address, so that it needs no way to Syntoma while it is made.

const LAST_LINE_MS = 300;
const PIECE_BYTES = 4_000_000;
const RANDOM_AT_ONCE = 65_536;
const BITS_PER_MS_OF_MBPS = 1_000;

const part = (id) => document.getElementById(id);
const show = (id, is) => {
  part(id).hidden = !is;
};
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, Math.max(0, ms)));
const rounded = (value, to) => Math.round(value * to) / to;

/** How a run may end, in words; Syntoma says the same once more. */
const ENDS = {
  done: 'Done.',
  spent: 'Done: it took all that it was allowed to.',
  cancelled: 'Cancelled.',
  hidden: 'It failed: this page was closed during the run.',
  stalled: 'It failed: nothing came through for 5 s.',
  refused: 'It failed: the speed server refused it.',
  lost: 'It failed: the speed server became unreachable.',
};

class Ended extends Error {
  constructor(how) {
    super(how);
    this.how = how;
  }
}

/** The plan that Syntoma wrote into the address; null where there is none. */
function planOf(hash) {
  try {
    const plan = JSON.parse(decodeURIComponent(hash.slice(1)));
    const goesHome = /^https?:$/.test(new URL(plan.back).protocol);
    return goesHome && typeof plan.run === 'string' ? plan : null;
  } catch {
    return null;
  }
}

/** Random bytes: they cannot be made smaller on the way. */
function randomBlob(bytes) {
  const all = new Uint8Array(bytes);
  for (let from = 0; from < bytes; from += RANDOM_AT_ONCE) {
    crypto.getRandomValues(all.subarray(from, Math.min(bytes, from + RANDOM_AT_ONCE)));
  }
  return new Blob([all]);
}

class Run {
  constructor(plan, told) {
    this.plan = plan;
    this.pace = plan.pace;
    this.told = told;
    this.started = performance.now();
    this.stop = new AbortController();
    this.how = null;
    this.idle = [];
    this.down = null;
    this.up = null;
  }

  at() {
    return performance.now() - this.started;
  }

  bytes() {
    return (this.down?.bytes ?? 0) + (this.up?.bytes ?? 0);
  }

  end(how) {
    this.how ??= how;
    this.stop.abort();
  }

  path(path, more = '') {
    const ticket = this.plan.ticket === null ? '' : `&ticket=${encodeURIComponent(this.plan.ticket)}`;
    return `${path}?run=${encodeURIComponent(this.plan.run)}${ticket}${more}`;
  }

  async call(path, options = {}) {
    let answer;
    try {
      answer = await fetch(path, { cache: 'no-store', ...options });
    } catch {
      throw new Ended('lost');
    }
    if (!answer.ok) {
      throw new Ended(answer.status === 413 ? 'spent' : 'refused');
    }
    return answer;
  }

  /** Asks a short question; what was not answered has no ms. */
  async ask(signal) {
    const atMs = this.at();
    try {
      await this.call(this.path('/ping'), { signal });
      return { atMs: rounded(atMs, 10), ms: rounded(this.at() - atMs, 10) };
    } catch {
      return { atMs: rounded(atMs, 10), ms: null };
    }
  }

  async make() {
    const allowed = (await (await this.call(this.path('/'))).json()).bytes;
    this.most = Math.min(this.plan.budgetBytes ?? Infinity, allowed);
    await this.alone();
    const spentDown = await this.load('down');
    const spentUp = await this.load('up');
    return spentDown || spentUp ? 'spent' : 'done';
  }

  async alone() {
    // the first one makes the connection
    await this.ask(this.stop.signal);
    const from = this.at();
    let lost = 0;
    for (;;) {
      this.goesOn();
      const at = this.at();
      const answered = this.idle.filter((asked) => asked.ms !== null).length;
      const enough = at - from >= this.pace.idleLeastMs && answered >= this.pace.idleAnswers;
      if (enough || at - from >= this.pace.idleMostMs) {
        return;
      }
      const asked = await this.ask(this.stop.signal);
      this.goesOn();
      this.idle.push(asked);
      this.told('idle', asked.ms);
      lost = asked.ms === null ? lost + 1 : 0;
      if (lost >= this.pace.lostInRow) {
        throw new Ended('lost');
      }
      await pause(at + this.pace.askEveryMs - this.at());
    }
  }

  goesOn() {
    if (this.how !== null) {
      throw new Ended(this.how);
    }
  }

  /** Loads a direction; whether it ended for what it may take. */
  async load(phase) {
    const way = { fromMs: rounded(this.at(), 10), bytes: 0, mbps: [], asked: [] };
    this[phase] = way;
    const ending = new AbortController();
    const streams = phase === 'down' ? new Down(this, way, ending.signal) : new Up(this, way, ending.signal);
    const asking = this.askBeside(way, ending.signal);
    try {
      return await this.watch(phase, way, streams);
    } finally {
      await streams.end(ending);
      await asking;
    }
  }

  async askBeside(way, signal) {
    while (!signal.aborted) {
      const at = this.at();
      const asked = await this.ask(signal);
      if (!signal.aborted) {
        way.asked.push(asked);
      }
      await pause(at + this.pace.askEveryMs - this.at());
    }
  }

  async watch(phase, way, streams) {
    const from = this.at();
    let lastBytes = 0;
    let still = 0;
    for (let tick = 1; ; tick++) {
      await pause(from + tick * this.pace.sampleMs - this.at());
      this.goesOn();
      streams.sample();
      this.told(phase, way.mbps.at(-1) ?? 0);
      if (streams.problem !== null) {
        throw new Ended(streams.problem);
      }
      if (streams.isSpent()) {
        return true;
      }
      still = way.bytes > lastBytes ? 0 : still + this.pace.sampleMs;
      lastBytes = way.bytes;
      if (still >= this.pace.stalledMs) {
        throw new Ended('stalled');
      }
      const atMs = way.mbps.length * this.pace.sampleMs;
      const enough = atMs >= this.plan.mostMs || (atMs >= this.plan.usualMs && way.bytes >= this.plan.leastBytes);
      const late = this.at() > this.pace.longestMs - (phase === 'down' ? this.plan.mostMs : 0);
      if (enough || late) {
        return false;
      }
    }
  }
}

/** Streams from the speed server, counted here as they come. */
class Down {
  constructor(run, way, signal) {
    this.way = way;
    this.problem = null;
    this.open = run.plan.streams;
    this.most = run.most / 2;
    this.lastBytes = 0;
    this.lastAt = performance.now();
    const share = Math.max(1, Math.floor(this.most / run.plan.streams));
    const slow = run.plan.slowMbps === null ? '' : `&mbps=${run.plan.slowMbps}`;
    const path = run.path('/down', `&bytes=${share}${slow}`);
    this.streams = Array.from({ length: run.plan.streams }, () => this.take(run, path, signal));
  }

  async take(run, path, signal) {
    try {
      const reader = (await run.call(path, { signal })).body.getReader();
      for (;;) {
        const { done, value } = await reader.read();
        if (done) {
          this.open--;
          if (this.open === 0 && !this.isSpent()) {
            this.problem ??= 'lost';
          }
          return;
        }
        this.way.bytes += value.length;
      }
    } catch (broken) {
      if (!signal.aborted) {
        this.problem ??= broken instanceof Ended ? broken.how : 'lost';
      }
    }
  }

  sample() {
    const at = performance.now();
    if (this.way.bytes > 0 || this.way.mbps.length > 0) {
      const bits = (this.way.bytes - this.lastBytes) * 8;
      this.way.mbps.push(rounded(bits / (at - this.lastAt) / BITS_PER_MS_OF_MBPS, 1_000));
    }
    this.lastBytes = this.way.bytes;
    this.lastAt = at;
  }

  isSpent() {
    return this.open === 0 && this.way.bytes >= this.most * 0.99;
  }

  async end(ending) {
    ending.abort();
    await Promise.all(this.streams);
  }
}

/** Bodies to the speed server, one after the other on each stream, counted there as they arrive. */
class Up {
  constructor(run, way, signal) {
    this.way = way;
    this.problem = null;
    this.left = run.most - run.bytes();
    this.lastUs = -1;
    this.over = false;
    this.telling = new AbortController();
    this.told = this.listen(run);
    this.streams = Array.from({ length: run.plan.streams }, () => this.send(run, signal));
  }

  /** Hears from the server every 250 ms how many bytes have arrived: microseconds, a space, bytes. */
  async listen(run) {
    try {
      const answer = await run.call(run.path('/received'), { signal: this.telling.signal });
      const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
      let text = '';
      for (;;) {
        const { done, value } = await reader.read();
        if (done) {
          throw new Ended('lost');
        }
        const lines = (text + value).split('\n');
        text = lines.pop();
        lines.forEach((line) => this.arrived(...line.split(' ').map(Number)));
      }
    } catch (broken) {
      if (!this.telling.signal.aborted) {
        this.problem ??= broken instanceof Ended ? broken.how : 'lost';
      }
    }
  }

  arrived(us, bytes) {
    if (this.lastUs >= 0 && us > this.lastUs && !this.over) {
      const mbps = ((bytes - this.way.bytes) * 8) / (us - this.lastUs);
      if (mbps > 0 || this.way.mbps.length > 0) {
        this.way.mbps.push(rounded(mbps, 1_000));
      }
    }
    this.lastUs = us;
    this.way.bytes = bytes;
  }

  async send(run, signal) {
    const slow = run.plan.slowMbps;
    const piece = slow === null ? PIECE_BYTES : Math.round(slow * 125 * run.pace.sampleMs);
    const blob = randomBlob(piece);
    const from = performance.now();
    try {
      for (let sent = 1; this.left > 0 && !signal.aborted; sent++) {
        const bytes = Math.min(piece, this.left);
        this.left -= bytes;
        await run.call(run.path('/up'), { method: 'POST', body: blob.slice(0, bytes), signal });
        if (slow !== null) {
          await pause(from + sent * run.pace.sampleMs - performance.now());
        }
      }
    } catch (broken) {
      if (!signal.aborted) {
        this.problem ??= broken instanceof Ended ? broken.how : 'lost';
      }
    }
  }

  sample() {
    // the server samples
  }

  isSpent() {
    return this.left <= 0;
  }

  async end(ending) {
    this.over = true;
    ending.abort();
    await Promise.all(this.streams);
    // the last of it is told with the next line
    await pause(LAST_LINE_MS);
    this.telling.abort();
    await this.told;
  }
}

/** What came of it, as it goes back in the address. */
function home(plan, brought) {
  const text = new TextEncoder().encode(JSON.stringify(brought));
  const code = btoa(String.fromCharCode(...text)).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');
  return `${plan.back}#brought=${code}`;
}

const kept = (plan) => `syntoma.run.${plan.run}`;

function shownOver(plan, brought) {
  part('say').textContent = plan.ownSim
    ? `${ENDS[brought.ended]} Turn the Wi-Fi on again if you turned it off, then take it to Syntoma.`
    : ENDS[brought.ended];
  part('back').href = home(plan, brought);
  ['start', 'cancel', 'now'].forEach((id) => show(id, false));
  show('back', true);
}

async function make(plan) {
  const laterMs = Math.max(0, Date.now() - plan.at);
  show('start', false);
  show('cancel', true);
  show('now', true);
  show('taken', true);
  part('say').textContent = 'Keep this page in sight until it is over.';
  const run = new Run(plan, (phase, value) => {
    part('rate').textContent = value === null ? '–' : value.toFixed(phase === 'idle' || value >= 100 ? 0 : 1);
    part('unit').textContent = phase === 'idle' ? 'ms until an answer' : `Mb/s ${phase}`;
    part('taken').textContent = `${(run.bytes() / 1e6).toFixed(1)} MB taken in ${Math.round(run.at() / 1_000)} s`;
  });
  part('cancel').onclick = () => run.end('cancelled');
  const hidden = () => document.hidden && run.end('hidden');
  document.addEventListener('visibilitychange', hidden);
  let ended;
  try {
    ended = await run.make();
  } catch (broken) {
    ended = run.how ?? (broken instanceof Ended ? broken.how : 'lost');
  }
  document.removeEventListener('visibilitychange', hidden);
  const seconds = rounded(run.at() / 1_000, 10);
  const brought = { ended, laterMs: Math.round(laterMs), seconds, idle: run.idle, down: run.down, up: run.up };
  localStorage.setItem(kept(plan), JSON.stringify(brought));
  shownOver(plan, brought);
  if (!plan.ownSim && ended !== 'cancelled') {
    location.assign(home(plan, brought));
  }
}

const plan = planOf(location.hash);
if (plan === null) {
  part('say').textContent = 'Begin a run there, under Measure, by this device; it leads here.';
} else {
  document.documentElement.classList.toggle('lamp', plan.light === 'lamp');
  part('headline').textContent = `${plan.what}, measured by this device.`;
  const before = localStorage.getItem(kept(plan));
  if (before !== null) {
    shownOver(plan, JSON.parse(before));
  } else if (plan.ownSim) {
    part('say').textContent =
      'Turn this device’s Wi-Fi off now, so that its own SIM carries the run. Then start. Syntoma need not be reached meanwhile.';
    part('start').onclick = () => make(plan);
    show('start', true);
  } else {
    make(plan);
  }
}
