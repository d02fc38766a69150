import type { ReadingProfile } from '@cimbel/core/drill';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { figure, dayAndMonth } from '../../lib/i18n';
import {
  Bar,
  BarChart,
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { Empty, Sheet } from '../../ui/panel';
import { Confusion } from './confusion';
import '../../lib/words/drills';
import '../../lib/words/craft';
import '../../lib/words/reading';

/** A departure smaller than this is chance, not a habit. */
const LEVEL_BIAS = 0.15;
const WARM_BIAS = 0.15;
/** Fewer readings under a light say nothing of it. */
const ENOUGH_OF_A_LIGHT = 6;

const AXIS = { stroke: 'var(--quiet)', fontSize: 13 } as const;
const TIP = {
  // Not in the colour of its bar, which is too faint to be read.
  itemStyle: { color: 'var(--ink)' },
  contentStyle: { background: 'var(--raised)', border: '1px solid var(--strong-line)', color: 'var(--ink)' },
  cursor: { fill: 'transparent' },
} as const;

function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Sheet className="flex flex-col gap-2">
      <h2 className="text-lg">{title}</h2>
      {children}
    </Sheet>
  );
}

/** What the answers say in words: the figure first, then which way it leans. */
function InWords({ profile }: { profile: ReadingProfile }) {
  const { t } = useTranslation(['ui', 'drill', 'craft']);
  const lines: string[] = [];
  if (profile.level.all) {
    const { bias } = profile.level.all;
    lines.push(
      Math.abs(bias) < LEVEL_BIAS
        ? t('reading.profile.levelEven')
        : t(bias > 0 ? 'reading.profile.levelLight' : 'reading.profile.levelDark', {
            levels: Math.abs(bias),
          }),
    );
  }
  if (profile.tone.all) {
    const { warmBias } = profile.tone.all;
    lines.push(
      t(
        Math.abs(warmBias) < WARM_BIAS
          ? 'reading.profile.toneEven'
          : warmBias > 0
            ? 'reading.profile.toneWarm'
            : 'reading.profile.toneCool',
      ),
    );
  }
  const lights = profile.level.byLight.filter(({ answers }) => answers >= ENOUGH_OF_A_LIGHT);
  const worst = [...lights].sort((a, b) => a.accuracy - b.accuracy)[0];
  if (lights.length > 1)
    lines.push(t('reading.profile.light', { light: worst.light, accuracy: worst.accuracy }));
  if (profile.strengths.length > 0)
    lines.push(
      t('reading.profile.strengths', {
        skills: profile.strengths.map((skill) => t(`drill:skill.${skill}`)).join(', '),
      }),
    );
  if (profile.next) lines.push(t('reading.profile.next', { skill: t(`drill:skill.${profile.next}`) }));
  return (
    <ul className="flex flex-col gap-1 text-lg">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

/** Bias above the line is too light, below it too dark. */
function LevelBias({ profile }: { profile: ReadingProfile }) {
  const { t } = useTranslation();
  const data = profile.level.byLevel.map(({ level, bias, accuracy, answers }) => ({
    level,
    bias: Math.round(bias * 100) / 100,
    accuracy,
    answers,
  }));
  return (
    <Card title={t('reading.profile.byLevel')}>
      <ResponsiveContainer width="100%" height={190}>
        <BarChart data={data} accessibilityLayer margin={{ top: 6, right: 8, bottom: 0, left: -18 }}>
          <CartesianGrid vertical={false} stroke="var(--line)" />
          <XAxis dataKey="level" {...AXIS} />
          <YAxis domain={[-1.5, 1.5]} ticks={[-1, 0, 1]} {...AXIS} />
          <Tooltip
            {...TIP}
            formatter={(value) => [t('reading.profile.biasOf', { levels: Number(value) }), '']}
            separator=""
          />
          <ReferenceLine y={0} stroke="var(--ink)" />
          <Bar dataKey="bias" fill="var(--strong-line)" isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
      <p className="text-quiet text-sm">{t('reading.profile.biasHint')}</p>
    </Card>
  );
}

function Weeks({ profile }: { profile: ReadingProfile }) {
  const { t } = useTranslation();
  const data = profile.weeks.map(({ week, accuracy, minutes }) => ({
    week: dayAndMonth(week),
    accuracy: Math.round(accuracy * 100),
    minutes: Math.round(minutes),
  }));
  return (
    <Card title={t('reading.profile.weeks')}>
      <ResponsiveContainer width="100%" height={190}>
        <LineChart data={data} accessibilityLayer margin={{ top: 6, right: 12, bottom: 0, left: -10 }}>
          <CartesianGrid vertical={false} stroke="var(--line)" />
          <XAxis dataKey="week" {...AXIS} />
          <YAxis
            yAxisId="share"
            domain={[0, 100]}
            ticks={[0, 50, 100]}
            unit={` ${t('unit.percent')}`}
            {...AXIS}
          />
          <Tooltip {...TIP} />
          <Line
            yAxisId="share"
            dataKey="accuracy"
            name={t('reading.profile.accuracy')}
            stroke="var(--ink)"
            strokeWidth={2}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
      <p className="text-quiet text-sm">{t('reading.profile.weeksHint')}</p>
    </Card>
  );
}

function SkillTable({ profile }: { profile: ReadingProfile }) {
  const { t } = useTranslation(['ui', 'drill']);
  return (
    <Card title={t('reading.profile.skills')}>
      <table className="w-full text-sm">
        <thead className="text-quiet">
          <tr>
            {(['skill', 'answers', 'right', 'stepHead', 'pace'] as const).map((head, i) => (
              <th key={head} scope="col" className={`py-1 ${i === 0 ? 'text-start' : 'text-end'}`}>
                {t(`reading.${head}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {profile.skills.map(({ skill, answers, accuracy, step, seconds }) => (
            <tr key={skill} className="border-line border-t">
              <th scope="row" className="py-1 text-start font-normal">
                {t(`drill:skill.${skill}`)}
              </th>
              <td className="text-end">{answers}</td>
              <td className="text-end">{t('reading.share', { share: accuracy })}</td>
              <td className="text-end">{figure(step, undefined, 1)}</td>
              <td className="text-end">{t('reading.seconds', { seconds })}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-quiet text-sm">{t('reading.profile.rightHint')}</p>
    </Card>
  );
}

/** An profile on one page: for its owner, and for the educator of the class. */
export function ReadingProfileView({ profile }: { profile: ReadingProfile }) {
  const { t } = useTranslation(['ui', 'craft']);
  if (profile.answers === 0) return <Empty>{t('reading.profile.empty')}</Empty>;
  return (
    <div className="flex flex-col gap-4">
      <p className="text-quiet">
        {t('reading.profile.total', { count: profile.answers, minutes: profile.minutes })}
        {profile.assisted > 0 ? ` ${t('reading.profile.assisted', { count: profile.assisted })}` : ''}
      </p>
      <InWords profile={profile} />
      <div className="grid gap-4 wide:grid-cols-2">
        {profile.level.byLevel.length > 0 ? <LevelBias profile={profile} /> : null}
        {profile.weeks.length > 0 ? <Weeks profile={profile} /> : null}
        <SkillTable profile={profile} />
        <div className="flex flex-col gap-4">
          {profile.confusion.level.length > 0 ? (
            <Card title={t('reading.confusion.level')}>
              <Confusion cells={profile.confusion.level} name={(level) => String(level)} of="level" />
            </Card>
          ) : null}
          {profile.tone.byTone.length > 0 ? (
            <Card title={t('reading.profile.byTone')}>
              <ul className="flex flex-wrap gap-x-6 gap-y-1 text-sm">
                {profile.tone.byTone.map(({ tone, accuracy, answers }) => (
                  <li key={tone}>
                    {t(`craft:tone.${tone}`)} <strong>{t('reading.share', { share: accuracy })}</strong>{' '}
                    <span className="text-quiet">({answers})</span>
                  </li>
                ))}
              </ul>
            </Card>
          ) : null}
        </div>
      </div>
    </div>
  );
}
