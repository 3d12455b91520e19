package standin

import (
	"encoding/xml"
	"io"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

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
