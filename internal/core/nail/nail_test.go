package nail

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// 16 nails on digits II to V, and up to one dewclaw a fore paw and two a hind paw
// (Nomina Anatomica Veterinaria for the digits; common practice, no source, for the dewclaws).
func TestADogHasSixteenNailsAndUpToSixDewclaws(t *testing.T) {
	counts := map[Group]int{}
	for _, c := range All() {
		counts[c.Group()]++
	}
	assert.Equal(t, map[Group]int{Fore: 8, HindMiddle: 4, HindOuter: 4, Dewclaw: 6}, counts)
}

func TestCodesReadBackAsWritten(t *testing.T) {
	for _, c := range All() {
		got, err := ParseCode(c.String())
		require.NoError(t, err)
		assert.Equal(t, c, got)
	}
	for _, bad := range []string{"", "LF0", "LF6", "LF1b", "lf3", "XX3", "RH2b"} {
		_, err := ParseCode(bad)
		assert.Error(t, err, bad)
	}
}

func TestPawsMirrorAsTheDogStands(t *testing.T) {
	var text string
	for _, c := range All()[:10] {
		text += c.String() + " "
	}
	assert.Equal(t, "LF5 LF4 LF3 LF2 LF1 RF1 RF2 RF3 RF4 RF5 ", text)
}

func TestANameIsANailOrAGroup(t *testing.T) {
	fore, err := Named("fore")
	require.NoError(t, err)
	assert.Len(t, fore, 8)
	one, err := Named("LF3")
	require.NoError(t, err)
	assert.Equal(t, []Code{MustParse("LF3")}, one)
	_, err = Named("the long one")
	assert.Error(t, err)
}

func TestATornOrIngrownNailIsAVeterinarians(t *testing.T) {
	for _, s := range States() {
		assert.Equal(t, s == Torn || s == Ingrown, s.Veterinary(), s)
	}
	assert.NotEmpty(t, States())
}
