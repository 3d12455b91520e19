package quick

import "fribbet/internal/core/say"

// What is said here.
const (
	mustAddUpTo1            say.Key = "quick.must_add_up_to_1"
	mustBeOneOfFor          say.Key = "quick.must_be_one_of_for"
	mustLeaveSomethingOfThe say.Key = "quick.must_leave_something_of_the"
)
