import type { LiveEvent } from '@cimbel/contract';
import { useEffect, useRef, useSyncExternalStore } from 'react';

/** How what happens is heard of: at once, by looking every ten seconds, or not yet. */
export type LiveLine = 'connecting' | 'live' | 'polling';
/** Something changed in some assignments; without names, in any. */
type Tidings = Pick<LiveEvent, 'assignmentIds'> | 'any';
type Word = { line: LiveLine } | { tidings: Tidings } | 'who';

const POLL_MS = 10_000;
const RETRY_MS = 2_000;
/** A line that does not hold is tried again this often, milliseconds. */
const LONGEST_RETRY_MS = 60_000;
/** So many failures in a row, and what happens is asked for instead. */
const FAILURES = 2;
const NAME = 'cimbel.events';

const hearers = new Set<(tidings: Tidings) => void>();
const watchers = new Set<() => void>();
let line: LiveLine = 'connecting';
let stop: (() => void) | null = null;

function setLine(to: LiveLine) {
  if (line === to) return;
  line = to;
  watchers.forEach((watch) => watch());
}
const hear = (tidings: Tidings) => hearers.forEach((one) => one(tidings));

/** Holds the stream of this browser: tells what comes on it, tries again when it breaks, and looks itself while it does not hold. */
function holdStream(say: (word: Word) => void): () => void {
  let failures = 0;
  let source: EventSource;
  let retry: ReturnType<typeof setTimeout>;
  let poll: ReturnType<typeof setInterval> | undefined;
  const connect = () => {
    source = new EventSource('/api/events');
    source.addEventListener('change', ({ data }: MessageEvent<string>) =>
      say({ tidings: JSON.parse(data) as LiveEvent }),
    );
    source.addEventListener('again', () => say({ tidings: 'any' }));
    source.onopen = () => {
      // What was missed meanwhile is asked for.
      if (failures > 0) say({ tidings: 'any' });
      failures = 0;
      clearInterval(poll);
      poll = undefined;
      say({ line: 'live' });
    };
    source.onerror = () => {
      source.close();
      failures += 1;
      if (failures >= FAILURES) {
        say({ line: 'polling' });
        poll ??= setInterval(() => say({ tidings: 'any' }), POLL_MS);
      }
      retry = setTimeout(connect, Math.min(RETRY_MS * failures, LONGEST_RETRY_MS));
    };
  };
  connect();
  return () => {
    source.close();
    clearTimeout(retry);
    clearInterval(poll);
  };
}

/**
 * One stream a browser: the page that has the lock holds it and passes on what comes; when it is closed another takes over. Where
 * there are no locks, as without TLS on another computer, each page holds its own.
 */
function start(): () => void {
  const channel = new BroadcastChannel(NAME);
  let release: (() => void) | null = null;
  let stopped = false;
  const take = (word: Word) => {
    if (word === 'who') return;
    if ('line' in word) setLine(word.line);
    else hear(word.tidings);
  };
  channel.onmessage = ({ data }: MessageEvent<Word>) => {
    if (data === 'who') {
      if (release) channel.postMessage({ line } satisfies Word);
    } else take(data);
  };
  channel.postMessage('who' satisfies Word);
  const hold = () =>
    holdStream((word) => {
      take(word);
      channel.postMessage(word);
    });
  if ('locks' in navigator) {
    void navigator.locks.request(
      NAME,
      () =>
        new Promise<void>((done) => {
          if (stopped) return done();
          const end = hold();
          release = () => {
            end();
            done();
          };
        }),
    );
  } else release = hold();
  return () => {
    stopped = true;
    release?.();
    channel.close();
    setLine('connecting');
  };
}

const watch = (onChange: () => void) => {
  watchers.add(onChange);
  return () => void watchers.delete(onChange);
};

/**
 * Looks when something changed in an assignment, here or on any other device; tells how that is heard of. What comes while it
 * looks is looked at once afterwards, so that a busy class never keeps a look from ending.
 */
export function useLive(assignmentId: string, look: () => Promise<unknown>): LiveLine {
  const latest = useRef(look);
  useEffect(() => {
    latest.current = look;
  }, [look]);
  useEffect(() => {
    let looking = false;
    let more = false;
    const lookOn = async () => {
      more = looking;
      if (looking) return;
      looking = true;
      await latest.current().catch(() => undefined);
      looking = false;
      if (more) void lookOn();
    };
    const one = (tidings: Tidings) => {
      if (tidings === 'any' || tidings.assignmentIds.includes(assignmentId)) void lookOn();
    };
    hearers.add(one);
    stop ??= start();
    return () => {
      hearers.delete(one);
      if (hearers.size > 0) return;
      stop?.();
      stop = null;
    };
  }, [assignmentId]);
  return useSyncExternalStore(watch, () => line);
}
