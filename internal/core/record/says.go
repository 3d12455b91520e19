package record

import "fribbet/internal/core/say"

// What is said here.
const (
	doesNotHaveThisNail           say.Key = "record.does_not_have_this_nail"
	longerThanThisNailCan         say.Key = "record.longer_than_this_nail_can"
	measureAgainOrSayThat         say.Key = "record.measure_again_or_say_that"
	moreThanThisNailCan           say.Key = "record.more_than_this_nail_can"
	mustBeAGrinderOr              say.Key = "record.must_be_a_grinder_or"
	mustBeLessThanThe             say.Key = "record.must_be_less_than_the"
	mustFollowAClipperA           say.Key = "record.must_follow_a_clipper_a"
	mustFollowACutA               say.Key = "record.must_follow_a_cut_a"
	mustNotBeMoreThan             say.Key = "record.must_not_be_more_than"
	mustNotBeMoreThanThe          say.Key = "record.must_not_be_more_than_the"
	mustNotLieBeforeThe           say.Key = "record.must_not_lie_before_the"
	noCut                         say.Key = "record.no_cut"
	severalNailsBreakingOrFalling say.Key = "record.several_nails_breaking_or_falling"
	soreWhenALegOr                say.Key = "record.sore_when_a_leg_or"
	swellingDischargeOrABad       say.Key = "record.swelling_discharge_or_a_bad"
	wasAPointForgotten            say.Key = "record.was_a_point_forgotten"
	limping                       say.Key = "record.limping"
)
