import { SHIPPED_CASES } from '../cases';
import { SHIPPED_LINES } from '../shades';
import { solveService } from '../solve';
import { DEFAULT_HOUSE_RULES } from '../theory';
for (const round of [1, 2])
  for (const { id, kase } of SHIPPED_CASES) {
    const t = performance.now();
    solveService(kase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
    console.log(round, id, Math.round(performance.now() - t));
  }
