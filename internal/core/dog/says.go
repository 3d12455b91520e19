package dog

import "fribbet/internal/core/say"

// What is said here.
const (
	fearsTheGrinderNoSpinning say.Key = "dog.fears_the_grinder_no_spinning"
	giveTheBirthDateOr        say.Key = "dog.give_the_birth_date_or"
	giveTheBirthDateOrAbout   say.Key = "dog.give_the_birth_date_or_about"
	mustBeADayAfter           say.Key = "dog.must_be_a_day_after"
	mustBeOneOfOr             say.Key = "dog.must_be_one_of_or"
	mustBeThereOnceOne        say.Key = "dog.must_be_there_once_one"
	mustLieWithinTheLast      say.Key = "dog.must_lie_within_the_last"
	mustNameEachOfThe         say.Key = "dog.must_name_each_of_the"
	mustNotLieBeforeThe       say.Key = "dog.must_not_lie_before_the"
	muzzleOnBeforeTheFirst    say.Key = "dog.muzzle_on_before_the_first"
	notWithoutAHelper         say.Key = "dog.not_without_a_helper"
	notYoungAnyMoreAre        say.Key = "dog.not_young_any_more_are"
	soreJointsLetItStand      say.Key = "dog.sore_joints_let_it_stand"
)
