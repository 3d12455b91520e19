package outlook

import "fribbet/internal/core/say"

// What is said here.
const (
	aProfessionalOrAVeterinarian say.Key = "outlook.a_professional_or_a_veterinarian"
	aVeterinarianFirstThenLook   say.Key = "outlook.a_veterinarian_first_then_look"
	aVeterinarianLooksFirst      say.Key = "outlook.a_veterinarian_looks_first"
	aVeterinarianLooksFirstThen  say.Key = "outlook.a_veterinarian_looks_first_then"
	bledLastTimeTakeLess         say.Key = "outlook.bled_last_time_take_less"
	callAVeterinarianNothingIs   say.Key = "outlook.call_a_veterinarian_nothing_is"
	curledSoFarThatIt            say.Key = "outlook.curled_so_far_that_it"
	dewclawCloseToCurlingDo      say.Key = "outlook.dewclaw_close_to_curling_do"
	dewclawCurlingDoItFirst      say.Key = "outlook.dewclaw_curling_do_it_first"
	dewclawProbablyCurlsByNow    say.Key = "outlook.dewclaw_probably_curls_by_now"
	foughtOnTheLadderFirst       say.Key = "outlook.fought_on_the_ladder_first"
	foughtOverOnLeaveThat        say.Key = "outlook.fought_over_on_leave_that"
	grownIntoTheSkinDo           say.Key = "outlook.grown_into_the_skin_do"
	hairOnTheFeetClear           say.Key = "outlook.hair_on_the_feet_clear"
	hangsLooseHoldItClip         say.Key = "outlook.hangs_loose_hold_it_clip"
	lookAtTheFeetOne             say.Key = "outlook.look_at_the_feet_one"
	mayTouchTheSkin              say.Key = "outlook.may_touch_the_skin"
	noNailThatMayBe              say.Key = "outlook.no_nail_that_may_be"
	noTrimYetLookAt              say.Key = "outlook.no_trim_yet_look_at"
	notTodayAVeterinarianWhere   say.Key = "outlook.not_today_a_veterinarian_where"
	snappedOnNoTrimBefore        say.Key = "outlook.snapped_on_no_trim_before"
	snappedOnTheLadderFirst      say.Key = "outlook.snapped_on_the_ladder_first"
	splitOrBrokenOnlyBlunt       say.Key = "outlook.split_or_broken_only_blunt"
	tornIntoTheQuickDo           say.Key = "outlook.torn_into_the_quick_do"
	dogSaidNo                    say.Key = "outlook.dog_said_no"
)
