package date

import "fribbet/internal/core/say"

// What is said here.
const (
	mustBeAtMostDays    say.Key = "date.must_be_at_most_days"
	mustBeTheFirstDay   say.Key = "date.must_be_the_first_day"
	mustNotLieBeforeThe say.Key = "date.must_not_lie_before_the"
)
