/**
 * The database as the migrations make it, so that a fresh installation begins at once. Made by `npm run schema`; a test
 * proves it equal to the long way.
 */
export const SCHEMA_AFTER = '034_told';
export const SCHEMA = String.raw`CREATE FUNCTION public.keep_former_grade() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
    begin
      if old.grade is not null and old.grade is distinct from new.grade then
        insert into former_grades (attempt_id, grade) values (old.id, old.grade);
      end if;
      return new;
    end $$;
CREATE FUNCTION public.keep_handed_in() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
  begin
    if old.submitted_at is not null and (
      new.answer is distinct from old.answer or new.submission_id is distinct from old.submission_id or new.submitted_at is distinct from old.submitted_at or new.student_id is distinct from old.student_id or new.assignment_id is distinct from old.assignment_id or new.receipt is distinct from old.receipt or new.digest is distinct from old.digest or new.number is distinct from old.number or new.begun_at is distinct from old.begun_at
    ) then
      raise exception 'attempt % has been handed in and cannot change', old.id using errcode = 'check_violation';
    end if;
    return new;
  end $$;
CREATE FUNCTION public.keep_log() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
    begin
      raise exception 'what is in the log stays as it is' using errcode = 'check_violation';
    end $$;
CREATE TABLE public.answer_states (
    attempt_id uuid NOT NULL,
    educator_id uuid NOT NULL,
    state text NOT NULL,
    points numeric(6,2) NOT NULL,
    at timestamp with time zone NOT NULL,
    CONSTRAINT answer_states_state_check CHECK ((state = ANY (ARRAY['looked'::text, 'talk'::text])))
);
CREATE TABLE public.assignment_students (
    assignment_id uuid NOT NULL,
    student_id uuid NOT NULL,
    opens_at timestamp with time zone,
    due_at timestamp with time zone,
    attempts integer,
    extra_time_share real
);
CREATE TABLE public.assignment_variants (
    assignment_id uuid NOT NULL,
    number smallint NOT NULL,
    client_case jsonb NOT NULL,
    model_answer jsonb NOT NULL,
    card jsonb
);
CREATE TABLE public.assignments (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    class_id uuid NOT NULL,
    title text NOT NULL,
    client_case jsonb NOT NULL,
    lines jsonb NOT NULL,
    house_rules jsonb NOT NULL,
    rubric jsonb NOT NULL,
    model_answer jsonb NOT NULL,
    due_at timestamp with time zone NOT NULL,
    release text NOT NULL,
    released_at timestamp with time zone,
    created_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    open_steps jsonb NOT NULL,
    card jsonb,
    slip text,
    before jsonb,
    exercise_id uuid NOT NULL,
    judgement jsonb DEFAULT '{"added": [], "struck": [], "accepted": [], "ceilings": "standard"}'::jsonb NOT NULL,
    standard integer DEFAULT 1 NOT NULL,
    opens_at timestamp with time zone,
    attempts_allowed integer DEFAULT 1 NOT NULL,
    counted text DEFAULT 'best'::text NOT NULL,
    late text DEFAULT 'taken'::text NOT NULL,
    late_percent integer DEFAULT 10 NOT NULL,
    minutes integer,
    everyone boolean DEFAULT true NOT NULL,
    closed_at timestamp with time zone,
    last_due_at timestamp with time zone NOT NULL,
    exercise_version integer DEFAULT 1 NOT NULL,
    plays_allowed integer DEFAULT 30 NOT NULL,
    variants text DEFAULT 'asWritten'::text NOT NULL,
    paused_at timestamp with time zone,
    CONSTRAINT assignments_counted_check CHECK ((counted = ANY (ARRAY['best'::text, 'last'::text]))),
    CONSTRAINT assignments_late_check CHECK ((late = ANY (ARRAY['refused'::text, 'taken'::text, 'reduced'::text]))),
    CONSTRAINT assignments_variants_check CHECK ((variants = ANY (ARRAY['asWritten'::text, 'shared'::text, 'own'::text]))),
    CONSTRAINT exercises_release_check CHECK ((release = ANY (ARRAY['onSubmit'::text, 'onDue'::text, 'manual'::text])))
);
CREATE TABLE public.at_work (
    assignment_id uuid NOT NULL,
    student_id uuid NOT NULL,
    step text,
    step_at timestamp with time zone,
    seen_at timestamp with time zone NOT NULL,
    hand_at timestamp with time zone
);
CREATE TABLE public.attempts (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    assignment_id uuid NOT NULL,
    student_id uuid NOT NULL,
    answer jsonb NOT NULL,
    version integer DEFAULT 1 NOT NULL,
    writer text NOT NULL,
    updated_at timestamp with time zone NOT NULL,
    submission_id uuid,
    submitted_at timestamp with time zone,
    grade jsonb,
    before jsonb,
    receipt bigint,
    digest text,
    number integer DEFAULT 1 NOT NULL,
    begun_at timestamp with time zone,
    not_taken text,
    sequence bigint DEFAULT '0'::bigint NOT NULL,
    paused_ms integer DEFAULT 0 NOT NULL,
    result_seen_at timestamp with time zone,
    CONSTRAINT attempts_handed_in_whole CHECK ((((submission_id IS NULL) = (submitted_at IS NULL)) AND ((submitted_at IS NULL) = (grade IS NULL))))
);
CREATE TABLE public.calendar_links (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    account_id uuid NOT NULL,
    class_id uuid,
    hash text NOT NULL,
    made_at timestamp with time zone NOT NULL,
    fetched_at timestamp with time zone
);
CREATE TABLE public.calendar_told (
    link_id uuid NOT NULL,
    work_id uuid NOT NULL,
    sequence integer NOT NULL,
    summary text NOT NULL,
    due_at timestamp with time zone NOT NULL,
    cancelled boolean DEFAULT false NOT NULL,
    changed_at timestamp with time zone NOT NULL
);
CREATE TABLE public.class_educators (
    class_id uuid NOT NULL,
    educator_id uuid NOT NULL,
    rights text NOT NULL,
    added_at timestamp with time zone NOT NULL,
    CONSTRAINT class_educators_rights_check CHECK ((rights = ANY (ARRAY['all'::text, 'marking'::text])))
);
CREATE TABLE public.classes (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    educator_id uuid NOT NULL,
    name text NOT NULL,
    join_code text NOT NULL,
    house_rules jsonb NOT NULL,
    created_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    joining text DEFAULT 'approval'::text NOT NULL,
    archived_at timestamp with time zone,
    CONSTRAINT classes_joining_check CHECK ((joining = ANY (ARRAY['open'::text, 'approval'::text, 'closed'::text])))
);
CREATE TABLE public.codes (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    kind text NOT NULL,
    hash text NOT NULL,
    user_id uuid,
    made_by uuid,
    label text,
    administrator boolean DEFAULT false NOT NULL,
    made_at timestamp with time zone NOT NULL,
    expires_at timestamp with time zone NOT NULL,
    CONSTRAINT codes_kind_check CHECK ((kind = ANY (ARRAY['invitation'::text, 'place'::text, 'reset'::text])))
);
CREATE TABLE public.comments (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    attempt_id uuid NOT NULL,
    educator_id uuid NOT NULL,
    text text NOT NULL,
    about text,
    made_at timestamp with time zone NOT NULL
);
CREATE TABLE public.drill_answers (
    id uuid NOT NULL,
    student_id uuid NOT NULL,
    class_id uuid,
    practice_id uuid,
    skill text NOT NULL,
    facet text NOT NULL,
    step smallint NOT NULL,
    seed bigint NOT NULL,
    scope jsonb NOT NULL,
    response jsonb NOT NULL,
    score real NOT NULL,
    reading jsonb,
    light text NOT NULL,
    assisted boolean NOT NULL,
    seconds real NOT NULL,
    answered_at timestamp with time zone NOT NULL,
    received_at timestamp with time zone NOT NULL,
    chance real DEFAULT '0'::real NOT NULL,
    claimed_seconds real NOT NULL
);
CREATE TABLE public.exercise_versions (
    exercise_id uuid NOT NULL,
    version integer NOT NULL,
    made_at timestamp with time zone NOT NULL,
    content jsonb NOT NULL
);
CREATE TABLE public.exercises (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    educator_id uuid NOT NULL,
    title text NOT NULL,
    client_case jsonb NOT NULL,
    open_steps jsonb NOT NULL,
    rubric jsonb NOT NULL,
    slip text,
    created_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    updated_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    judgement jsonb DEFAULT '{"added": [], "struck": [], "accepted": [], "ceilings": "standard"}'::jsonb NOT NULL,
    tags text[] DEFAULT '{}'::text[] NOT NULL,
    version integer DEFAULT 1 NOT NULL,
    archived_at timestamp with time zone
);
CREATE TABLE public.former_grades (
    id bigint NOT NULL,
    attempt_id uuid NOT NULL,
    grade jsonb NOT NULL,
    replaced_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL
);
CREATE SEQUENCE public.former_grades_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.former_grades_id_seq OWNED BY public.former_grades.id;
CREATE TABLE public.grade_columns (
    id uuid NOT NULL,
    class_id uuid NOT NULL,
    assignment_id uuid,
    test_id uuid,
    title text,
    max_points numeric(6,2),
    held_on text,
    category text,
    counts boolean DEFAULT true NOT NULL,
    CONSTRAINT grade_columns_of_check CHECK (((num_nonnulls(assignment_id, test_id, title) = 1) AND ((title IS NULL) = (max_points IS NULL)) AND ((title IS NULL) = (held_on IS NULL)) AND ((title IS NULL) OR (category IS NOT NULL)) AND ((assignment_id IS NULL) OR (assignment_id = id)) AND ((test_id IS NULL) OR (test_id = id))))
);
CREATE TABLE public.grade_entries (
    column_id uuid NOT NULL,
    student_id uuid NOT NULL,
    points numeric(6,2),
    reason text NOT NULL,
    educator_id uuid NOT NULL,
    at timestamp with time zone NOT NULL
);
CREATE TABLE public.gradebooks (
    class_id uuid NOT NULL,
    settings jsonb NOT NULL,
    version integer NOT NULL,
    frozen_at timestamp with time zone,
    frozen jsonb
);
CREATE TABLE public.hints (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    assignment_id uuid NOT NULL,
    student_id uuid NOT NULL,
    attempt integer NOT NULL,
    educator_id uuid NOT NULL,
    text text NOT NULL,
    at timestamp with time zone NOT NULL,
    read_at timestamp with time zone
);
CREATE VIEW public.leaders AS
 SELECT classes.id AS class_id,
    classes.educator_id,
    'owner'::text AS rights
   FROM public.classes
UNION ALL
 SELECT class_educators.class_id,
    class_educators.educator_id,
    class_educators.rights
   FROM public.class_educators;
CREATE TABLE public.log (
    id bigint NOT NULL,
    at timestamp with time zone NOT NULL,
    actor_id uuid,
    action text NOT NULL,
    class_id uuid,
    subject_id uuid,
    before jsonb,
    after jsonb
);
CREATE SEQUENCE public.log_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.log_id_seq OWNED BY public.log.id;
CREATE TABLE public.mark_changes (
    id bigint NOT NULL,
    attempt_id uuid NOT NULL,
    educator_id uuid NOT NULL,
    criterion text NOT NULL,
    from_points numeric(6,2) NOT NULL,
    to_points numeric(6,2) NOT NULL,
    reason text NOT NULL,
    made_at timestamp with time zone NOT NULL,
    before jsonb,
    batch uuid
);
CREATE SEQUENCE public.mark_changes_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.mark_changes_id_seq OWNED BY public.mark_changes.id;
CREATE TABLE public.memberships (
    class_id uuid NOT NULL,
    student_id uuid NOT NULL,
    joined_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    extra_time_share real DEFAULT '0'::real NOT NULL,
    state text DEFAULT 'active'::text NOT NULL,
    number text,
    CONSTRAINT memberships_state_check CHECK ((state = ANY (ARRAY['active'::text, 'waiting'::text, 'removed'::text])))
);
CREATE VIEW public.members AS
 SELECT memberships.class_id,
    memberships.student_id,
    memberships.joined_at,
    memberships.extra_time_share,
    memberships.state,
    memberships.number
   FROM public.memberships
  WHERE (memberships.state = 'active'::text);
CREATE TABLE public.phrases (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    educator_id uuid NOT NULL,
    text text NOT NULL,
    about text,
    used integer DEFAULT 1 NOT NULL,
    used_at timestamp with time zone NOT NULL
);
CREATE TABLE public.plays (
    assignment_id uuid NOT NULL,
    student_id uuid NOT NULL,
    digest text NOT NULL,
    at timestamp with time zone NOT NULL
);
CREATE TABLE public.practice_contacts (
    session text NOT NULL,
    heard_at timestamp with time zone NOT NULL,
    left_s real DEFAULT '0'::real NOT NULL
);
CREATE TABLE public.practices (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    class_id uuid NOT NULL,
    title text NOT NULL,
    skills jsonb NOT NULL,
    scope jsonb NOT NULL,
    minutes_a_week integer NOT NULL,
    created_at timestamp with time zone NOT NULL
);
CREATE TABLE public.reading_tests (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    class_id uuid NOT NULL,
    title text NOT NULL,
    plan jsonb NOT NULL,
    scope jsonb NOT NULL,
    house_rules jsonb NOT NULL,
    step smallint NOT NULL,
    variants text NOT NULL,
    feedback text NOT NULL,
    minutes integer NOT NULL,
    attempts integer NOT NULL,
    seed bigint NOT NULL,
    due_at timestamp with time zone NOT NULL,
    released_at timestamp with time zone,
    created_at timestamp with time zone NOT NULL,
    secret text NOT NULL,
    own_lines jsonb DEFAULT '[]'::jsonb NOT NULL,
    CONSTRAINT reading_tests_feedback_check CHECK ((feedback = ANY (ARRAY['atEnd'::text, 'onRelease'::text]))),
    CONSTRAINT reading_tests_variants_check CHECK ((variants = ANY (ARRAY['own'::text, 'same'::text])))
);
CREATE SEQUENCE public.receipt_numbers
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
CREATE TABLE public.regrades (
    assignment_id uuid NOT NULL,
    total integer NOT NULL,
    done integer DEFAULT 0 NOT NULL,
    changed integer DEFAULT 0 NOT NULL,
    started_at timestamp with time zone NOT NULL,
    finished_at timestamp with time zone,
    moved_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    standard integer DEFAULT 1 NOT NULL,
    after_id uuid DEFAULT '00000000-0000-0000-0000-000000000000'::uuid NOT NULL
);
CREATE TABLE public.released_to (
    assignment_id uuid NOT NULL,
    student_id uuid NOT NULL,
    at timestamp with time zone NOT NULL
);
CREATE TABLE public.reveals (
    assignment_id uuid NOT NULL,
    student_id uuid NOT NULL,
    kind text NOT NULL,
    name text NOT NULL,
    at timestamp with time zone NOT NULL,
    attempt integer DEFAULT 1 NOT NULL,
    CONSTRAINT reveals_kind_check CHECK ((kind = ANY (ARRAY['asked'::text, 'tests'::text])))
);
CREATE TABLE public.sessions (
    sid character varying(255) NOT NULL,
    sess json NOT NULL,
    expire timestamp(6) with time zone NOT NULL
);
CREATE VIEW public.set_for AS
 SELECT a.id AS assignment_id,
    m.student_id,
    a.class_id,
    COALESCE(s.opens_at, a.opens_at) AS opens_at,
    COALESCE(s.due_at, a.due_at) AS due_at,
    COALESCE(s.attempts, a.attempts_allowed) AS attempts_allowed,
    COALESCE(s.extra_time_share, m.extra_time_share) AS extra_time_share,
    COALESCE(a.released_at, r.at) AS released_at
   FROM (((public.assignments a
     JOIN public.members m ON ((m.class_id = a.class_id)))
     LEFT JOIN public.assignment_students s ON (((s.assignment_id = a.id) AND (s.student_id = m.student_id))))
     LEFT JOIN public.released_to r ON (((r.assignment_id = a.id) AND (r.student_id = m.student_id))))
  WHERE (a.everyone OR (s.student_id IS NOT NULL));
CREATE TABLE public.shade_book_versions (
    book_id uuid NOT NULL,
    version integer NOT NULL,
    line jsonb NOT NULL,
    saved_at timestamp with time zone NOT NULL,
    developers_before jsonb
);
CREATE TABLE public.shade_books (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    educator_id uuid NOT NULL,
    version integer NOT NULL,
    put_away_at timestamp with time zone,
    created_at timestamp with time zone NOT NULL
);
CREATE TABLE public.sitting_answers (
    sitting_id uuid NOT NULL,
    "position" integer NOT NULL,
    response jsonb,
    score real NOT NULL,
    reading jsonb,
    seconds real NOT NULL,
    answered_at timestamp with time zone NOT NULL
);
CREATE TABLE public.sittings (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    test_id uuid NOT NULL,
    student_id uuid NOT NULL,
    number integer NOT NULL,
    items jsonb NOT NULL,
    started_at timestamp with time zone NOT NULL,
    ends_at timestamp with time zone NOT NULL,
    finished_at timestamp with time zone
);
CREATE TABLE public.term_sheets (
    class_id uuid NOT NULL,
    student_id uuid NOT NULL,
    sheet jsonb NOT NULL
);
CREATE TABLE public.tries (
    key character varying(255) NOT NULL,
    points integer DEFAULT 0 NOT NULL,
    expire bigint
);
CREATE TABLE public.users (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    role text NOT NULL,
    name text NOT NULL,
    email text,
    password_hash text,
    demo boolean DEFAULT false NOT NULL,
    created_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    administrator boolean DEFAULT false NOT NULL,
    CONSTRAINT users_claimed_whole CHECK (((email IS NULL) = (password_hash IS NULL))),
    CONSTRAINT users_role_check CHECK ((role = ANY (ARRAY['educator'::text, 'student'::text])))
);
ALTER TABLE ONLY public.former_grades ALTER COLUMN id SET DEFAULT nextval('public.former_grades_id_seq'::regclass);
ALTER TABLE ONLY public.log ALTER COLUMN id SET DEFAULT nextval('public.log_id_seq'::regclass);
ALTER TABLE ONLY public.mark_changes ALTER COLUMN id SET DEFAULT nextval('public.mark_changes_id_seq'::regclass);
ALTER TABLE ONLY public.answer_states
    ADD CONSTRAINT answer_states_pkey PRIMARY KEY (attempt_id);
ALTER TABLE ONLY public.assignment_students
    ADD CONSTRAINT assignment_students_pkey PRIMARY KEY (assignment_id, student_id);
ALTER TABLE ONLY public.assignment_variants
    ADD CONSTRAINT assignment_variants_pkey PRIMARY KEY (assignment_id, number);
ALTER TABLE ONLY public.assignments
    ADD CONSTRAINT assignments_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.at_work
    ADD CONSTRAINT at_work_pkey PRIMARY KEY (assignment_id, student_id);
ALTER TABLE ONLY public.attempts
    ADD CONSTRAINT attempts_one_of_a_number UNIQUE (assignment_id, student_id, number);
ALTER TABLE ONLY public.attempts
    ADD CONSTRAINT attempts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.attempts
    ADD CONSTRAINT attempts_receipt_unique UNIQUE (receipt);
ALTER TABLE ONLY public.attempts
    ADD CONSTRAINT attempts_submission_id_unique UNIQUE (submission_id);
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT calendar_links_hash_unique UNIQUE (hash);
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT calendar_links_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.calendar_told
    ADD CONSTRAINT calendar_told_pkey PRIMARY KEY (link_id, work_id);
ALTER TABLE ONLY public.class_educators
    ADD CONSTRAINT class_educators_pkey PRIMARY KEY (class_id, educator_id);
ALTER TABLE ONLY public.classes
    ADD CONSTRAINT classes_join_code_unique UNIQUE (join_code);
ALTER TABLE ONLY public.classes
    ADD CONSTRAINT classes_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.codes
    ADD CONSTRAINT codes_hash_unique UNIQUE (hash);
ALTER TABLE ONLY public.codes
    ADD CONSTRAINT codes_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.comments
    ADD CONSTRAINT comments_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.drill_answers
    ADD CONSTRAINT drill_answers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.exercise_versions
    ADD CONSTRAINT exercise_versions_pkey PRIMARY KEY (exercise_id, version);
ALTER TABLE ONLY public.exercises
    ADD CONSTRAINT exercises_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.former_grades
    ADD CONSTRAINT former_grades_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.grade_columns
    ADD CONSTRAINT grade_columns_assignment_id_unique UNIQUE (assignment_id);
ALTER TABLE ONLY public.grade_columns
    ADD CONSTRAINT grade_columns_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.grade_columns
    ADD CONSTRAINT grade_columns_test_id_unique UNIQUE (test_id);
ALTER TABLE ONLY public.grade_entries
    ADD CONSTRAINT grade_entries_pkey PRIMARY KEY (column_id, student_id);
ALTER TABLE ONLY public.gradebooks
    ADD CONSTRAINT gradebooks_pkey PRIMARY KEY (class_id);
ALTER TABLE ONLY public.hints
    ADD CONSTRAINT hints_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.log
    ADD CONSTRAINT log_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.mark_changes
    ADD CONSTRAINT mark_changes_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT memberships_class_id_number_unique UNIQUE (class_id, number);
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT memberships_pkey PRIMARY KEY (class_id, student_id);
ALTER TABLE ONLY public.phrases
    ADD CONSTRAINT phrases_educator_id_text_unique UNIQUE (educator_id, text);
ALTER TABLE ONLY public.phrases
    ADD CONSTRAINT phrases_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plays
    ADD CONSTRAINT plays_pkey PRIMARY KEY (assignment_id, student_id, digest);
ALTER TABLE ONLY public.practice_contacts
    ADD CONSTRAINT practice_contacts_pkey PRIMARY KEY (session);
ALTER TABLE ONLY public.practices
    ADD CONSTRAINT practices_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.reading_tests
    ADD CONSTRAINT reading_tests_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.regrades
    ADD CONSTRAINT regrades_pkey PRIMARY KEY (assignment_id);
ALTER TABLE ONLY public.released_to
    ADD CONSTRAINT released_to_pkey PRIMARY KEY (assignment_id, student_id);
ALTER TABLE ONLY public.reveals
    ADD CONSTRAINT reveals_pkey PRIMARY KEY (assignment_id, student_id, attempt, kind, name);
ALTER TABLE ONLY public.sessions
    ADD CONSTRAINT sessions_pkey PRIMARY KEY (sid);
ALTER TABLE ONLY public.shade_book_versions
    ADD CONSTRAINT shade_book_versions_pkey PRIMARY KEY (book_id, version);
ALTER TABLE ONLY public.shade_books
    ADD CONSTRAINT shade_books_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.sitting_answers
    ADD CONSTRAINT sitting_answers_pkey PRIMARY KEY (sitting_id, "position");
ALTER TABLE ONLY public.sittings
    ADD CONSTRAINT sittings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.sittings
    ADD CONSTRAINT sittings_test_id_student_id_number_unique UNIQUE (test_id, student_id, number);
ALTER TABLE ONLY public.term_sheets
    ADD CONSTRAINT term_sheets_pkey PRIMARY KEY (class_id, student_id);
ALTER TABLE ONLY public.tries
    ADD CONSTRAINT tries_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.users
    ADD CONSTRAINT users_email_unique UNIQUE (email);
ALTER TABLE ONLY public.users
    ADD CONSTRAINT users_pkey PRIMARY KEY (id);
CREATE INDEX answer_states_educator_id_index ON public.answer_states USING btree (educator_id);
CREATE INDEX assignment_students_student_id_index ON public.assignment_students USING btree (student_id);
CREATE INDEX assignments_exercise_id_index ON public.assignments USING btree (exercise_id);
CREATE INDEX at_work_student_id_index ON public.at_work USING btree (student_id);
CREATE INDEX attempts_student_id_index ON public.attempts USING btree (student_id);
CREATE INDEX calendar_links_class_id_index ON public.calendar_links USING btree (class_id);
CREATE UNIQUE INDEX calendar_links_one_each ON public.calendar_links USING btree (account_id, COALESCE(class_id, '00000000-0000-0000-0000-000000000000'::uuid));
CREATE INDEX class_educators_educator_id_index ON public.class_educators USING btree (educator_id);
CREATE INDEX classes_educator_id_index ON public.classes USING btree (educator_id);
CREATE INDEX codes_user_id_index ON public.codes USING btree (user_id);
CREATE INDEX comments_attempt_id_index ON public.comments USING btree (attempt_id);
CREATE INDEX comments_educator_id_index ON public.comments USING btree (educator_id);
CREATE INDEX drill_answers_class_id_answered_at_index ON public.drill_answers USING btree (class_id, answered_at);
CREATE INDEX drill_answers_class_id_index ON public.drill_answers USING btree (class_id);
CREATE INDEX drill_answers_practice_id_answered_at_index ON public.drill_answers USING btree (practice_id, answered_at);
CREATE INDEX drill_answers_practice_id_index ON public.drill_answers USING btree (practice_id);
CREATE INDEX drill_answers_student_id_answered_at_index ON public.drill_answers USING btree (student_id, answered_at);
CREATE INDEX exercises_class_id_index ON public.assignments USING btree (class_id);
CREATE INDEX exercises_educator_id_index ON public.exercises USING btree (educator_id);
CREATE INDEX former_grades_attempt_id_index ON public.former_grades USING btree (attempt_id);
CREATE INDEX grade_columns_class_id_index ON public.grade_columns USING btree (class_id);
CREATE INDEX grade_entries_educator_id_index ON public.grade_entries USING btree (educator_id);
CREATE INDEX grade_entries_student_id_index ON public.grade_entries USING btree (student_id);
CREATE INDEX hints_assignment_id_student_id_attempt_index ON public.hints USING btree (assignment_id, student_id, attempt);
CREATE INDEX hints_educator_id_index ON public.hints USING btree (educator_id);
CREATE INDEX hints_student_id_index ON public.hints USING btree (student_id);
CREATE INDEX log_actor_id_id_index ON public.log USING btree (actor_id, id);
CREATE INDEX log_class_id_id_index ON public.log USING btree (class_id, id);
CREATE INDEX log_subject_id_id_index ON public.log USING btree (subject_id, id);
CREATE INDEX mark_changes_attempt_id_index ON public.mark_changes USING btree (attempt_id);
CREATE INDEX mark_changes_batch_index ON public.mark_changes USING btree (batch);
CREATE INDEX mark_changes_educator_id_index ON public.mark_changes USING btree (educator_id);
CREATE INDEX memberships_student_id_index ON public.memberships USING btree (student_id);
CREATE INDEX practices_class_id_index ON public.practices USING btree (class_id);
CREATE INDEX reading_tests_class_id_index ON public.reading_tests USING btree (class_id);
CREATE INDEX released_to_student_id_index ON public.released_to USING btree (student_id);
CREATE INDEX sessions_expire_index ON public.sessions USING btree (expire);
CREATE INDEX shade_books_educator_id_index ON public.shade_books USING btree (educator_id);
CREATE INDEX sittings_student_id_index ON public.sittings USING btree (student_id);
CREATE INDEX term_sheets_student_id_index ON public.term_sheets USING btree (student_id);
CREATE TRIGGER attempts_keep_former_grade AFTER UPDATE OF grade ON public.attempts FOR EACH ROW EXECUTE FUNCTION public.keep_former_grade();
CREATE TRIGGER attempts_keep_handed_in BEFORE UPDATE ON public.attempts FOR EACH ROW EXECUTE FUNCTION public.keep_handed_in();
CREATE TRIGGER log_kept BEFORE DELETE OR UPDATE ON public.log FOR EACH ROW EXECUTE FUNCTION public.keep_log();
ALTER TABLE ONLY public.answer_states
    ADD CONSTRAINT answer_states_attempt_id_foreign FOREIGN KEY (attempt_id) REFERENCES public.attempts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.answer_states
    ADD CONSTRAINT answer_states_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.assignment_students
    ADD CONSTRAINT assignment_students_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.assignment_students
    ADD CONSTRAINT assignment_students_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.assignment_variants
    ADD CONSTRAINT assignment_variants_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.assignments
    ADD CONSTRAINT assignments_exercise_id_foreign FOREIGN KEY (exercise_id) REFERENCES public.exercises(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.at_work
    ADD CONSTRAINT at_work_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.at_work
    ADD CONSTRAINT at_work_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attempts
    ADD CONSTRAINT attempts_exercise_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attempts
    ADD CONSTRAINT attempts_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT calendar_links_account_id_foreign FOREIGN KEY (account_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT calendar_links_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.calendar_told
    ADD CONSTRAINT calendar_told_link_id_foreign FOREIGN KEY (link_id) REFERENCES public.calendar_links(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.class_educators
    ADD CONSTRAINT class_educators_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.class_educators
    ADD CONSTRAINT class_educators_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.classes
    ADD CONSTRAINT classes_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.codes
    ADD CONSTRAINT codes_made_by_foreign FOREIGN KEY (made_by) REFERENCES public.users(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.codes
    ADD CONSTRAINT codes_user_id_foreign FOREIGN KEY (user_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.comments
    ADD CONSTRAINT comments_attempt_id_foreign FOREIGN KEY (attempt_id) REFERENCES public.attempts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.comments
    ADD CONSTRAINT comments_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.drill_answers
    ADD CONSTRAINT drill_answers_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.drill_answers
    ADD CONSTRAINT drill_answers_practice_id_foreign FOREIGN KEY (practice_id) REFERENCES public.practices(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.drill_answers
    ADD CONSTRAINT drill_answers_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.exercise_versions
    ADD CONSTRAINT exercise_versions_exercise_id_foreign FOREIGN KEY (exercise_id) REFERENCES public.exercises(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.assignments
    ADD CONSTRAINT exercises_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.exercises
    ADD CONSTRAINT exercises_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.former_grades
    ADD CONSTRAINT former_grades_attempt_id_foreign FOREIGN KEY (attempt_id) REFERENCES public.attempts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.grade_columns
    ADD CONSTRAINT grade_columns_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.grade_columns
    ADD CONSTRAINT grade_columns_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.grade_columns
    ADD CONSTRAINT grade_columns_test_id_foreign FOREIGN KEY (test_id) REFERENCES public.reading_tests(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.grade_entries
    ADD CONSTRAINT grade_entries_column_id_foreign FOREIGN KEY (column_id) REFERENCES public.grade_columns(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.grade_entries
    ADD CONSTRAINT grade_entries_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.grade_entries
    ADD CONSTRAINT grade_entries_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.gradebooks
    ADD CONSTRAINT gradebooks_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.hints
    ADD CONSTRAINT hints_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.hints
    ADD CONSTRAINT hints_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.hints
    ADD CONSTRAINT hints_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.mark_changes
    ADD CONSTRAINT mark_changes_attempt_id_foreign FOREIGN KEY (attempt_id) REFERENCES public.attempts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.mark_changes
    ADD CONSTRAINT mark_changes_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT memberships_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT memberships_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.phrases
    ADD CONSTRAINT phrases_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.plays
    ADD CONSTRAINT plays_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.plays
    ADD CONSTRAINT plays_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.practices
    ADD CONSTRAINT practices_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.reading_tests
    ADD CONSTRAINT reading_tests_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.regrades
    ADD CONSTRAINT regrades_exercise_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.released_to
    ADD CONSTRAINT released_to_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.released_to
    ADD CONSTRAINT released_to_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.reveals
    ADD CONSTRAINT reveals_assignment_id_foreign FOREIGN KEY (assignment_id) REFERENCES public.assignments(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.reveals
    ADD CONSTRAINT reveals_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.shade_book_versions
    ADD CONSTRAINT shade_book_versions_book_id_foreign FOREIGN KEY (book_id) REFERENCES public.shade_books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.shade_books
    ADD CONSTRAINT shade_books_educator_id_foreign FOREIGN KEY (educator_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.sitting_answers
    ADD CONSTRAINT sitting_answers_sitting_id_foreign FOREIGN KEY (sitting_id) REFERENCES public.sittings(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.sittings
    ADD CONSTRAINT sittings_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE RESTRICT;
ALTER TABLE ONLY public.sittings
    ADD CONSTRAINT sittings_test_id_foreign FOREIGN KEY (test_id) REFERENCES public.reading_tests(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.term_sheets
    ADD CONSTRAINT term_sheets_class_id_foreign FOREIGN KEY (class_id) REFERENCES public.classes(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.term_sheets
    ADD CONSTRAINT term_sheets_student_id_foreign FOREIGN KEY (student_id) REFERENCES public.users(id) ON DELETE CASCADE;`;
