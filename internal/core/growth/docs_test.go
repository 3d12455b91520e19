package growth

import (
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/nail"
)

// docs/model.md tells these numbers to people who may trust them: it must tell the ones in use.
func TestTheModelPageTellsTheRatesInUse(t *testing.T) {
	page, err := os.ReadFile("../../../docs/model.md")
	require.NoError(t, err)
	var seniors []string
	for _, c := range SizeClasses() {
		seniors = append(seniors, fmt.Sprint(c.SeniorYears))
	}
	w := func(g nail.Group) string { return fmt.Sprintf("%g ± %g", wear[g].mean, wear[g].sd) }
	for _, told := range []string{
		fmt.Sprintf("%g / %g / %g mm a week, sd %g", grossYoung, grossAdult, grossSenior, grossSD),
		fmt.Sprintf("%s / %s / %s mm per km", w(nail.Fore), w(nail.HindMiddle), w(nail.HindOuter)),
		fmt.Sprintf("± %g mm a week", scatterSD),
		fmt.Sprintf("%g standard deviations", outlierZ),
		fmt.Sprintf("never below %g", leastNet),
		strings.Join(seniors, ", ") + " years",
	} {
		assert.Contains(t, string(page), told)
	}
}
