import type { ClassDetail } from '@cimbel/contract';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { Failure, Loading } from '../../ui/panel';
import { useClass } from '../people/use-class';

/** A page about the class its address names. */
export function WithClass({ children }: { children: (detail: ClassDetail) => ReactNode }) {
  const { classId = '' } = useParams();
  const query = useClass(classId);
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return children(query.data);
}
