package state

import "fribbet/internal/core/say"

// What is said here.
const (
	events2           say.Key = "state.events_2"
	mustBeAtMostMm    say.Key = "state.must_be_at_most_mm"
	mustBeFromTo      say.Key = "state.must_be_from_to"
	mustBeOneOfThe    say.Key = "state.must_be_one_of_the"
	mustBeTheFirstDay say.Key = "state.must_be_the_first_day"
)
