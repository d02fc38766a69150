import type { ClientCase } from '@cimbel/core/case';
import { looksOf, visibleRegions } from '@cimbel/core/exercise';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { HeadStrand } from '../bench/head-strand';
import { ZoneBorders } from './zone-borders';
import '../../lib/words/bench';

/** The hair of the case as it is composed. */
export function CaseStrand({
  clientCase,
  onChange,
}: {
  clientCase: ClientCase;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation();
  const [at, setAt] = useState(0);
  const regions = visibleRegions(clientCase.head);
  return (
    <HeadStrand
      regions={regions}
      at={Math.min(at, regions.length - 1)}
      onRegion={setAt}
      looks={looksOf({ id: 'composed', clientCase }, 'daylight')}
      nowLabel={t('bench.nowOf', { name: clientCase.client.name })}
      caption={t('bench.now')}
      onStrand={(zones, height) => (
        <ZoneBorders
          zones={zones}
          height={height}
          onLengths={(lengths) =>
            onChange({
              ...clientCase,
              head: {
                ...clientCase.head,
                zones: clientCase.head.zones.map((zone) => ({
                  ...zone,
                  lengthCm: lengths[zone.zone] ?? zone.lengthCm,
                })),
              },
            })
          }
        />
      )}
    />
  );
}
