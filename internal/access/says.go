package access

import "fribbet/internal/core/say"

// What is said here; the pages ask for theirs by name.
const (
	mustHaveAtMost40 say.Key = "access.must_have_at_most_40"
	mustNotBeEmpty   say.Key = "access.must_not_be_empty"

	byThePrinted say.Key = "access.by_the_printed"
	thisMachine  say.Key = "access.this_machine"
	theProxy     say.Key = "access.the_proxy"
	unknownName  say.Key = "access.unknown_name"
	broke        say.Key = "access.broke"
	tooMany      say.Key = "access.too_many"
	notIt        say.Key = "access.not_it"
	codeIsOver   say.Key = "access.code_is_over"
)
