import { shippedCase } from '../cases';
import { SHIPPED_LINES } from '../shades';
import { solveService } from '../solve';
import { DEFAULT_HOUSE_RULES as R } from '../theory';
test('dbg', () => {
  const out: string[] = [];
  (globalThis as any).DBG = (s: string) => out.push(s);
  const r = solveService(shippedCase('dream-of-silver')!.kase, SHIPPED_LINES, R);
  out.push(JSON.stringify(r.ok && r.solution.visits));
  require('fs').writeFileSync('/tmp/dbg.txt', out.join('\n'));
});
