package e2e

import (
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
)

// Who put the mark of the groove where they see it finds it there, whatever another hand tells meanwhile.
func TestAMarkStaysWhereItWasPut(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	at := atBench(p, program, program.dogs()["Moss"])
	p.press("button", "Cannot tell")
	p.sees("Where does the groove end")
	p.saved()
	value := func() string { return *p.find("[role=slider]", "").MustAttribute("aria-valuenow") }
	before := value()
	p.require(p.find("[role=slider]", "").Focus(), "the mark by keys")
	p.require(p.Keyboard.Type(input.ArrowLeft, input.ArrowLeft), "further back")
	put := value()
	assert.NotEqual(t, before, put)
	p.hearsOfAnother(program, at)
	assert.Equal(t, put, value())
}

// hearsOfAnother waits until a bench shows what another hand told of the nail that is in this one.
func (p page) hearsOfAnother(program *program, at string) {
	p.t.Helper()
	told := fmt.Sprintf(
		`{"events": [{"kind": "reaction", "reaction": "uneasy", "nail": %q, "id": %q, "at": "%sT12:00:00Z"}]}`,
		p.find(".head .code", "").MustText(),
		uuid.NewString(),
		day,
	)
	program.send(http.MethodPost, strings.TrimSuffix(at, "/bench")+"/events", told, nil)
	p.find(".took [aria-pressed=true]", "uneasy")
}
