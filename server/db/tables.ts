import type { Knex } from 'knex';
import type { CodeRow } from '../accounts/codes';
import type { UserRow } from '../accounts/store';
import type { AssignmentRow } from '../assignments/row';
import type { ReleasedToRow } from '../assignments/released-to';
import type { RegradeRow } from '../assignments/regrade';
import type { VariantRow } from '../assignments/variants';
import type { CommentRow, PhraseRow } from '../attempts/comments';
import type { AnswerStateRow } from '../attempts/pile';
import type { PlayRow } from '../attempts/plays';
import type { RevealRow } from '../attempts/reveals';
import type { AttemptRow } from '../attempts/store';
import type { CalendarToldRow } from '../calendar/feed';
import type { CalendarLinkRow } from '../calendar/links';
import type { ClassRow } from '../classes/access';
import type { MembershipRow } from '../classes/roster';
import type { ExerciseRow } from '../exercises/store';
import type { GradebookRow, GradeColumnRow, GradeEntryRow, TermSheetRow } from '../gradebook/rows';
import type { DrillAnswerRow, PracticeRow } from '../practice/store';
import type { AtWorkRow } from '../live/at-work';
import type { HintRow } from '../live/hints';
import type { SittingAnswerRow, SittingRow, TestRow } from '../reading/rows';
import type { BookRow, VersionRow } from '../shade-books/store';

/** A table as it is read; what is written to it is JSON text where a column holds a value. */
type Read<Row extends object> = Knex.CompositeTableType<Row, object, object>;

/** What every table holds, said once: a query of a table by its name gives its rows. */
declare module 'knex/types/tables' {
  interface Tables {
    users: Read<UserRow>;
    codes: Read<CodeRow>;
    classes: Read<ClassRow>;
    memberships: Read<MembershipRow>;
    exercises: Read<ExerciseRow>;
    assignments: Read<AssignmentRow>;
    assignment_variants: Read<VariantRow>;
    attempts: Read<AttemptRow>;
    reveals: Read<RevealRow>;
    plays: Read<PlayRow>;
    at_work: Read<AtWorkRow>;
    hints: Read<HintRow>;
    answer_states: Read<AnswerStateRow>;
    comments: Read<CommentRow>;
    phrases: Read<PhraseRow>;
    calendar_links: Read<CalendarLinkRow>;
    calendar_told: Read<CalendarToldRow>;
    regrades: Read<RegradeRow>;
    released_to: Read<ReleasedToRow>;
    practices: Read<PracticeRow>;
    drill_answers: Read<DrillAnswerRow>;
    reading_tests: Read<TestRow>;
    sittings: Read<SittingRow>;
    sitting_answers: Read<SittingAnswerRow>;
    gradebooks: Read<GradebookRow>;
    grade_columns: Read<GradeColumnRow>;
    grade_entries: Read<GradeEntryRow>;
    term_sheets: Read<TermSheetRow>;
    shade_books: Read<BookRow>;
    shade_book_versions: Read<VersionRow>;
  }
}
