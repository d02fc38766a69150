import { SHIPPED_CASES } from '../cases';
import { SHIPPED_LINES } from '../shades';
import { solveService } from '../solve';
import { DEFAULT_HOUSE_RULES } from '../theory';
import { playPlan } from '../plan';
test('try', () => {
  const out: string[] = [];
  for (const { id, kase } of SHIPPED_CASES) {
    const t = performance.now();
    const r = solveService(kase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
    const ms = Math.round(performance.now() - t);
    if (!r.ok) {
      out.push(`${id} ${ms} ms NO ${JSON.stringify(r.reasons)}`);
      continue;
    }
    const s = r.solution;
    out.push(
      `${id} ${ms} ms visits ${s.visits.length} eq ${s.equivalents.length} ${s.choices.map((c) => `${c.part}:${c.route}:${c.away.toFixed(1)}`).join(' ')} ${s.proof.map((p) => p.code)}`,
    );
    for (const b of s.best.bowls)
      out.push(
        `    ${b.name} ${b.lineId} ${b.shades.map((x) => `${x.label} ${x.grams}`).join(' + ')} ${b.productGrams} | ${b.developer.map((d) => `${d.vol}v ${d.grams}`).join()}`,
      );
    for (const st of s.best.steps)
      out.push(
        `    ${st.start}+${st.minutes} ${st.bowl} on ${st.zones.join()} share ${st.share} check ${st.checkEvery}`,
      );
    const p = playPlan(s.visit, s.best, (id) => SHIPPED_LINES.find((l) => l.id === id));
    out.push(
      '    ' +
        p
          .outcomeAt(p.minutes)
          .map(
            (o) =>
              `${o.part.zone}${o.part.woven ? '*' : ''} L${o.level.toFixed(1)} ${o.tone} ${o.away.toFixed(1)} ${o.condition} d${o.strand.damage.toFixed(2)}`,
          )
          .join(' | '),
    );
    if (s.visits.length > 1) out.push('    visits ' + JSON.stringify(s.visits));
  }
  require('fs').writeFileSync('/tmp/try.txt', out.join('\n'));
});
