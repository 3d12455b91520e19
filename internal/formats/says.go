package formats

import "fribbet/internal/core/say"

// What is said here.
const (
	mustBe1ALater            say.Key = "formats.must_be_1_a_later"
	mustBeARowOf             say.Key = "formats.must_be_a_row_of"
	mustBeAWholePicture      say.Key = "formats.must_be_a_whole_picture"
	mustBeAWholeZip          say.Key = "formats.must_be_a_whole_zip"
	mustBeAsItWas            say.Key = "formats.must_be_as_it_was"
	mustBeNoPartOf           say.Key = "formats.must_be_no_part_of"
	mustBeOneOfThe           say.Key = "formats.must_be_one_of_the"
	mustBeShorter            say.Key = "formats.must_be_shorter"
	mustBeThere              say.Key = "formats.must_be_there"
	mustBeThereThePackage    say.Key = "formats.must_be_there_the_package"
	mustBeTold               say.Key = "formats.must_be_told"
	mustBeWholeItIs          say.Key = "formats.must_be_whole_it_is"
	mustDescribeThePackageAs say.Key = "formats.must_describe_the_package_as"
	mustHaveCellsQuotedAs    say.Key = "formats.must_have_cells_quoted_as"
	mustHoldAtMostFiles      say.Key = "formats.must_hold_at_most_files"
	mustNameTheColumns       say.Key = "formats.must_name_the_columns"
	mustNotUnpackToSo        say.Key = "formats.must_not_unpack_to_so"
	mustStandInItOnce        say.Key = "formats.must_stand_in_it_once"
)
