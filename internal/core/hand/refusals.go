package hand

import "fribbet/internal/core/say"

// What is said here.
const (
	mustBeAtLeastSlices say.Key = "hand.must_be_at_least_slices"
	mustBeWhatTheSlices say.Key = "hand.must_be_what_the_slices"
)
