import type { MyPractice } from '@cimbel/contract';
import { afterAnswer, DRILL_EDITION, emptyMemory, generate, markItem, type Memory } from '@cimbel/core/drill';
import { useQuery } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { keep, readKept } from '../../lib/storage';
import { queueOf } from './answer-queue';

export const PRACTICE = ['my-practice'] as const;

/** What the server knows, and what this device has answered since and not been able to send. */
export function memoryWithWaiting(practice: MyPractice, studentId: string): Memory {
  // Kept on a device from before there were as many skills.
  // What a device kept before skills and places were added has none of them.
  const none = emptyMemory();
  const kept: Partial<Memory> = practice.memory;
  let memory: Memory = { ...none, ...kept, reach: { ...none.reach, ...kept.reach } };
  const ownLines = practice.classes.flatMap((one) => one.ownLines ?? []);
  for (const { edition, spec, rules, scope, response, assisted, at } of queueOf(studentId).waiting()) {
    try {
      if (edition !== DRILL_EDITION) continue;
      const { score } = markItem(generate(spec, { rules, scope, ownLines }), response);
      memory = afterAnswer(memory, { ...spec, score, assisted, at: new Date(at).getTime() });
    } catch {
      // Of an older version of the application; the server will say so.
    }
  }
  return memory;
}

/** My practice: from the server, or, without a connection, as it was when last seen on this device. */
export function usePractice(studentId: string) {
  const place = `cimbel.practice.${studentId}`;
  return useQuery({
    queryKey: [...PRACTICE, studentId],
    queryFn: async () => {
      await queueOf(studentId).flush();
      try {
        const practice = await api<MyPractice>('GET', '/api/my/practice');
        keep(place, practice);
        return practice;
      } catch (error) {
        const myPractice = readKept<MyPractice>(place);
        if (myPractice) return myPractice;
        throw error;
      }
    },
  });
}
