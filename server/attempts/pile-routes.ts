import {
  answerStatesSchema,
  commentChangeSchema,
  commentRemovalSchema,
  commentsSchema,
  markAlikeRemovalSchema,
  markAlikeSchema,
  phraseRemovalSchema,
} from '@cimbel/contract';
import { seenAssignment, type LedAssignment } from '../assignments/access';
import { route, type Route } from '../http/route';
import { comment, rewordComment, takeBackComments } from './comments';
import { markAlike, pileFor, setAnswerStates, takeBackAlike } from './pile';

const saying = ({ id, class_id }: LedAssignment, educatorId: string, now: Date) => ({
  assignmentId: id,
  classId: class_id,
  educatorId,
  now,
});

/** Marking a whole pile: what everyone who leads the class may do, if only to mark. */
export const pileRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/assignments/:assignmentId/pile',
    who: 'educator',
    reach: seenAssignment,
    handle: ({ db, me, now, reached }) => pileFor(db, reached, me.id, now()),
  }),
  route({
    method: 'put',
    path: '/api/assignments/:assignmentId/pile/states',
    who: 'educator',
    reach: seenAssignment,
    body: answerStatesSchema,
    handle: ({ db, me, now, reached, body }) => setAnswerStates(db, reached, me.id, body, now()),
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/pile/marks',
    who: 'educator',
    reach: seenAssignment,
    body: markAlikeSchema,
    handle: ({ db, me, now, reached, body }) => markAlike(db, reached, me.id, body, now()),
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/pile/marks/removal',
    who: 'educator',
    reach: seenAssignment,
    body: markAlikeRemovalSchema,
    handle: ({ db, me, now, reached, body }) => takeBackAlike(db, reached, me.id, body.batch, now()),
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/comments',
    who: 'educator',
    reach: seenAssignment,
    body: commentsSchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      const made = await comment(db, body, saying(reached, me.id, now()));
      res.status(201);
      return made;
    },
  }),
  route({
    method: 'put',
    path: '/api/assignments/:assignmentId/comments/:commentId',
    who: 'educator',
    reach: seenAssignment,
    body: commentChangeSchema,
    handle: ({ db, me, now, param, reached, body }) =>
      rewordComment(db, param('commentId'), body.text, saying(reached, me.id, now())),
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/comments/removal',
    who: 'educator',
    reach: seenAssignment,
    body: commentRemovalSchema,
    handle: ({ db, me, now, reached, body }) => takeBackComments(db, body.ids, saying(reached, me.id, now())),
  }),
  route({
    method: 'post',
    path: '/api/phrases/removal',
    who: 'educator',
    body: phraseRemovalSchema,
    handle: async ({ db, me, body }) => {
      await db('phrases').where({ id: body.id, educator_id: me.id }).delete();
    },
  }),
];
