import { type ApiError, api, asApiError } from './api';

const answer = (status: number, body: unknown) =>
  ({ ok: status < 400, status, statusText: 'status', json: async () => body }) as unknown as Response;
const fetched = jest.fn<Promise<Response>, [string, RequestInit]>();
const realFetch = globalThis.fetch;
beforeAll(() => {
  globalThis.fetch = fetched as unknown as typeof fetch;
});
afterAll(() => {
  globalThis.fetch = realFetch;
});

async function failure(work: Promise<unknown>): Promise<ApiError> {
  return work.then(
    () => {
      throw new Error('expected a failure');
    },
    (error) => error as ApiError,
  );
}

describe('talking to the server', () => {
  it('sends what is given as JSON and returns what comes back', async () => {
    fetched.mockResolvedValueOnce(answer(200, { version: 3 }));
    expect(await api('PUT', '/api/x', { a: 1 })).toEqual({ version: 3 });
    expect(fetched).toHaveBeenLastCalledWith('/api/x', {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: '{"a":1}',
    });
  });

  it('carries code, fields and reasons of a refusal', async () => {
    const error = {
      code: 'exercise.noAnswer',
      message: 'no',
      fields: [{ path: 'dueAt', code: 'past', message: 'later' }],
      reasons: [{ code: 'developer.beyondLift', params: { levels: 4 }, rule: 'D2' }],
    };
    fetched.mockResolvedValueOnce(answer(422, { error }));
    const refused = await failure(api('POST', '/api/x', {}));
    expect(refused).toMatchObject({
      status: 422,
      code: error.code,
      fields: error.fields,
      reasons: error.reasons,
      offline: false,
    });
  });

  it('tells a lost connection from an answer, and a strange answer from none', async () => {
    fetched.mockRejectedValueOnce(new TypeError('failed to fetch'));
    expect((await failure(api('GET', '/api/x'))).offline).toBe(true);
    fetched.mockResolvedValueOnce(answer(502, '<html>'));
    expect(await failure(api('GET', '/api/x'))).toMatchObject({ status: 502, code: 'server.unexpected' });
    expect(asApiError(new Error('else')).code).toBe('server.unexpected');
  });
});
