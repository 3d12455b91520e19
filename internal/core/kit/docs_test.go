package kit

import (
	"fmt"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// docs/model.md tells these numbers to people who may trust them: it must tell the ones in use.
func TestTheModelPageTellsTheNumbersInUse(t *testing.T) {
	page, err := os.ReadFile("../../../docs/model.md")
	require.NoError(t, err)
	for _, told := range []string{
		fmt.Sprintf("%g kg", pliersSplit),
		fmt.Sprintf("%d / %d / %d | trade", LengthGrit, BetweenGrit, SmoothGrit),
		fmt.Sprintf("%g / %g / %g µm", Grain(LengthGrit), Grain(BetweenGrit), Grain(SmoothGrit)),
		fmt.Sprintf("over %g mm deep", thickNail),
		fmt.Sprintf("over %g / %g mm", longTake, boardTake),
		fmt.Sprintf("%d, %g, %g, %g, %g | judgement", CutsLimit, BandLimit, BitLimit, ChargeLimit, BoardLimit),
		fmt.Sprintf("| %g | judgement", usualRun),
	} {
		assert.Contains(t, string(page), told)
	}
}
