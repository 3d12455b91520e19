package feet

import "fribbet/internal/core/say"

// What is said here.
const (
	assumedFromAgeAndSize   say.Key = "feet.assumed_from_age_and_size"
	learntFromThisDogsTrims say.Key = "feet.learnt_from_this_dogs_trims"
	learntFromWhatCameOff   say.Key = "feet.learnt_from_what_came_off"
	mustBeADay              say.Key = "feet.must_be_a_day"
	mustBeADayOf            say.Key = "feet.must_be_a_day_of"
	mustBeANail             say.Key = "feet.must_be_a_nail"
	mustBeOneOfOr           say.Key = "feet.must_be_one_of_or"
	mustComeWithHowFar      say.Key = "feet.must_come_with_how_far"
	allFlags                say.Key = "feet.all_flags"
)
