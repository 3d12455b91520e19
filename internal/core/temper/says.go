package temper

import "fribbet/internal/core/say"

// What is said here.
const (
	aNewHandAndA              say.Key = "temper.a_new_hand_and_a"
	aPuppyAFewMinutes         say.Key = "temper.a_puppy_a_few_minutes"
	aPuppyANailOr             say.Key = "temper.a_puppy_a_nail_or"
	frightenedANailOrTwo      say.Key = "temper.frightened_a_nail_or_two"
	minutesAsYouSaid          say.Key = "temper.minutes_as_you_said"
	minutesUntilThisDogsTrims say.Key = "temper.minutes_until_this_dogs_trims"
	nailsAsYouSaid            say.Key = "temper.nails_as_you_said"
	noLimitKnownYet           say.Key = "temper.no_limit_known_yet"
	tookNails                 say.Key = "temper.took_nails"
	enoughNails               say.Key = "temper.enough_nails"
	sinceNails                say.Key = "temper.since_nails"
	tookMinutes               say.Key = "temper.took_minutes"
	enoughMinutes             say.Key = "temper.enough_minutes"
	sinceMinutes              say.Key = "temper.since_minutes"
)
