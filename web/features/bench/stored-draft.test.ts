import { forget } from '../../lib/storage';
import { attemptOfPlace, draftPlace, keepDraft, keptDraft } from './stored-draft';

const storage = () => {
  const cache = new Map<string, string>();
  return {
    getItem: (name: string) => cache.get(name) ?? null,
    setItem: (name: string, text: string) => void cache.set(name, text),
    removeItem: (name: string) => void cache.delete(name),
  };
};
beforeAll(() => Object.assign(globalThis, { localStorage: storage(), sessionStorage: storage() }));

const place = draftPlace('student', 'assignment', 1);
const draft = (answer: string) => ({ answer, version: 1, unsent: true });

describe('what a device keeps of an answer', () => {
  afterEach(() => {
    for (const name of ['device', 'tab'] as const) forget(place, name);
  });

  it('is this tab’s own after a reload, whatever another tab has written since', () => {
    keepDraft(place, draft('mine'));
    // Another tab shares the device and not the tab.
    localStorage.setItem(place, JSON.stringify(draft('of another')));
    expect(keptDraft(place)).toEqual({ draft: draft('mine'), isOwn: true });
  });

  it('is what another tab left where this one has nothing, and not its own then', () => {
    keepDraft(place, draft('left behind'));
    forget(place, 'tab');
    expect(keptDraft(place)).toEqual({ draft: draft('left behind'), isOwn: false });
    forget(place);
    expect(keptDraft(place)).toBeNull();
  });

  it('is found by the student it is of', () => {
    expect(attemptOfPlace('student', place)).toEqual({ assignmentId: 'assignment', attempt: 1 });
    const third = draftPlace('student', 'assignment', 3);
    expect(attemptOfPlace('student', third)).toEqual({ assignmentId: 'assignment', attempt: 3 });
    expect(third).not.toBe(place);
    expect(attemptOfPlace('other', place)).toBeNull();
  });
});
