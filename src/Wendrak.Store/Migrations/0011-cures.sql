-- Whether a cure helped: asked for over all machines, and few events of all are of that kind.
CREATE INDEX cure_judged ON job_event (job_id) WHERE kind = 'cureJudged';
