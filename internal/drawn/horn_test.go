package drawn

import (
	"encoding/xml"
	"io"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// At least twelve looks a kind, each under 20 kB and well formed; what differs beside the seed is the face alone.
func TestCutEndsVary(t *testing.T) {
	for _, colour := range []nail.Colour{nail.Light, nail.Dark} {
		for _, face := range quick.Faces(colour) {
			looks := map[string]bool{}
			for seed := range uint64(24) {
				svg := CutEnd(face, colour == nail.Light, seed)
				assert.Equal(t, svg, CutEnd(face, colour == nail.Light, seed))
				assert.Less(t, len(svg), 20_000)
				looks[svg] = true
				decoder := xml.NewDecoder(strings.NewReader(svg))
				var err error
				for err == nil {
					_, err = decoder.Token()
				}
				require.ErrorIs(t, err, io.EOF)
			}
			assert.GreaterOrEqual(t, len(looks), 12, "%s of a %s nail", face, colour)
		}
	}
}

// What is to be looked at is well formed, small, and another for each seed; a nail that touches is drawn on the floor.
func TestWhatIsLookedAtIsDrawn(t *testing.T) {
	looks := map[string]bool{}
	for seed := range uint64(12) {
		svg := Underside(17, 7, 4.5, []float64{3.3, 4.5, 5.7, 6.9, 8.1}, seed)
		assert.Equal(t, 5, strings.Count(svg, "<text"))
		looks[svg] = true
	}
	assert.Len(t, looks, 12)
	form := claw.Assumed(nail.Code{Paw: nail.LF, Digit: 3}, nail.Usual, 20)
	feet := Feet([]claw.Stance{form.AtGap(0), form.AtGap(1), form.AtGap(2), form.AtGap(3)})
	looks[feet] = true
	for svg := range looks {
		assert.Less(t, len(svg), 20_000)
		decoder := xml.NewDecoder(strings.NewReader(svg))
		var err error
		for err == nil {
			_, err = decoder.Token()
		}
		require.ErrorIs(t, err, io.EOF)
	}
	assert.NotEqual(t, feet, Feet([]claw.Stance{form.AtGap(1), form.AtGap(1), form.AtGap(2), form.AtGap(3)}))
}
