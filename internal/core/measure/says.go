package measure

import "fribbet/internal/core/say"

// What is said here.
const (
	mustBeForA     say.Key = "measure.must_be_for_a"
	mustBeLeftOutA say.Key = "measure.must_be_left_out_a"
)
