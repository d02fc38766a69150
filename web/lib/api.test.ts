import { api, asApiError } from './api';

describe('a call to the server', () => {
  const real = globalThis.fetch;
  afterEach(() => {
    globalThis.fetch = real;
  });
  const failing = (call: Promise<unknown>) =>
    call.then(
      () => null,
      (error: unknown) => asApiError(error),
    );

  it('gives up on a server that does not answer, and says that it is not reached', async () => {
    globalThis.fetch = (_path, options) =>
      new Promise((_resolve, reject) => {
        expect(options!.signal).toBeInstanceOf(AbortSignal);
        reject(new DOMException('timed out', 'TimeoutError'));
      });
    expect(await failing(api('GET', '/api/session'))).toMatchObject({ code: 'network', offline: true });
  });

  it('takes an answer that breaks off for one that never came, not for one of the server', async () => {
    globalThis.fetch = async () => new Response('{"half":', { status: 200 });
    expect(await failing(api('GET', '/api/session'))).toMatchObject({ code: 'network' });
  });

  it('keeps what the server says is wrong, field by field', async () => {
    const error = {
      code: 'body.invalid',
      message: 'no',
      fields: [{ path: 'name', code: 'short', message: 'no' }],
    };
    globalThis.fetch = async () => new Response(JSON.stringify({ error }), { status: 422 });
    expect(await failing(api('POST', '/api/classes', {}))).toMatchObject({
      status: 422,
      fields: error.fields,
    });
  });
});
