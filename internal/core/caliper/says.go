package caliper

import "fribbet/internal/core/say"

// What is said here.
const (
	halfAReadingCameNothing      say.Key = "caliper.half_a_reading_came_nothing"
	isNoLengthOfA                say.Key = "caliper.is_no_length_of_a"
	isNoReadingNothingWas        say.Key = "caliper.is_no_reading_nothing_was"
	theCaliperSendsSomethingElse say.Key = "caliper.the_caliper_sends_something_else"
)
