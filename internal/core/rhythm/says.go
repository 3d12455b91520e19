package rhythm

import "fribbet/internal/core/say"

// What is said here.
const (
	everyTrimmedNailClearsThe say.Key = "rhythm.every_trimmed_nail_clears_the"
	ofTrimsWereHeldThe        say.Key = "rhythm.of_trims_were_held_the"
	theQuickDrawsBackAs       say.Key = "rhythm.the_quick_draws_back_as"
	theQuickDrawsBackMore     say.Key = "rhythm.the_quick_draws_back_more"
	tooEarlyToTellFrom        say.Key = "rhythm.too_early_to_tell_from"
)
