package practice

import "fribbet/internal/core/say"

// What is said here.
const (
	afterTheEnd               say.Key = "practice.after_the_end"
	answers2                  say.Key = "practice.answers_2"
	ends2                     say.Key = "practice.ends_2"
	moves2                    say.Key = "practice.moves_2"
	mustBeALookA              say.Key = "practice.must_be_a_look_a"
	mustBeGrooveNothingShines say.Key = "practice.must_be_groove_nothing_shines"
	mustBeLookedAtOnce        say.Key = "practice.must_be_looked_at_once"
	mustNotBeThereThe         say.Key = "practice.must_not_be_there_the"
	thingsAtOnce              say.Key = "practice.things_at_once"
)
