package due

import "fribbet/internal/core/say"

// What is said here.
const (
	mustBeTheDateOf    say.Key = "due.must_be_the_date_of"
	mustNotLieAfter    say.Key = "due.must_not_lie_after"
	mustNotLieAfterThe say.Key = "due.must_not_lie_after_the"
)
