package e2e

import (
	"bufio"
	"context"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// send asks the interface to change something, beside the browser, and reads its answer.
func (p *program) send(method, path, body string, into any) {
	p.t.Helper()
	ctx, cancel := context.WithTimeout(context.Background(), patience)
	defer cancel()
	request, err := http.NewRequestWithContext(ctx, method, p.address+path, strings.NewReader(body))
	require.NoError(p.t, err)
	request.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(request)
	require.NoError(p.t, err)
	defer response.Body.Close()
	require.Less(p.t, response.StatusCode, 300, "%s %s", method, path)
	if into != nil {
		require.NoError(p.t, json.NewDecoder(response.Body).Decode(into))
	}
}

// Fifty messages go out while the program is killed twenty times: each once, and only once.
func TestMessagesGoOutOnceAcrossKills(t *testing.T) {
	t.Parallel()
	const messages, kills = 50, 20
	moment := rand.New(rand.NewPCG(16, 1))
	dir := t.TempDir()
	memory := filepath.Join(dir, "gateway.jsonl")
	begin := func(hour string) *program {
		return start(
			t,
			"serve",
			"--data",
			filepath.Join(dir, "book.db"),
			"--today",
			day+"T"+hour,
			"--listen",
			anywhere,
			"--stand-in-gateway",
			memory,
		)
	}
	program := begin("10:00")
	program.send(
		"PUT",
		"/api/settings",
		`{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon","tue","wed","thu","fri"]}`,
		nil,
	)
	var dogs []string
	for i := range messages {
		var dog struct{ ID string }
		program.send("POST", "/api/dogs", fmt.Sprintf(`{"name":"Dog %d","age_years":4,"weights":[{"kg":20}]}`, i), &dog)
		owner := uuid.NewString()
		program.send(
			"PUT",
			"/api/owners/"+owner,
			fmt.Sprintf(`{"name":"Owner %d","reach":"text","address":"+44 1632 96%04d","may_offer":true}`, i, i),
			nil,
		)
		program.send("PUT", "/api/dogs/"+dog.ID+"/owner", fmt.Sprintf(`{"owner_id":%q}`, owner), nil)
		dogs = append(dogs, dog.ID)
	}
	made := map[string]bool{}
	for range kills {
		for range (messages + kills - 1) / kills {
			if n := len(made); n < messages {
				id := uuid.NewString()
				program.send("PUT", "/api/messages/"+id, fmt.Sprintf(`{"dog_id":%q,"kind":"places"}`, dogs[n]), nil)
				made[id] = true
			}
		}
		time.Sleep(time.Duration(600+moment.IntN(600)) * time.Millisecond) // the post goes once a second
		program.kill()
		program = begin("10:00")
	}
	delivered := func() bool {
		var all struct{ Messages []struct{ State string } }
		program.get("/api/messages", &all)
		done := 0
		for _, m := range all.Messages {
			if m.State == "delivered" {
				done++
			}
		}
		return done == messages
	}
	for hour := 11; !delivered(); hour++ { // whatever waits for another try has waited by then
		require.Less(t, hour, 20, "all of them are delivered in the end")
		program.kill()
		program = begin(fmt.Sprintf("%d:00", hour))
		until := time.Now().Add(10 * time.Second)
		for ; time.Now().Before(until) && !delivered(); time.Sleep(200 * time.Millisecond) {
		}
	}
	file, err := os.Open(memory)
	require.NoError(t, err)
	defer file.Close()
	taken := map[string]int{}
	for lines := bufio.NewScanner(file); lines.Scan(); {
		var line struct{ Sent *struct{ ID string } }
		require.NoError(t, json.Unmarshal(lines.Bytes(), &line))
		if line.Sent != nil {
			taken[line.Sent.ID]++
		}
	}
	assert.Len(t, taken, messages)
	for id, times := range taken {
		assert.True(t, made[id])
		assert.Equal(t, 1, times, "once and only once")
	}
}

// Places are sent in one press; what the owner answers on the other side books one.
func TestAnOwnerIsOfferedPlacesAndAnswers(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/round/calls")
	p.sees("Rudder")
	p.find(".call", "Rudder").MustElementR("button", "Send places").MustClick()
	p.sees("Written to by text message")
	p.open(program.address + "/messages")
	p.sees("Rudder's nails are due.")
	p.press(".other button", "1")
	p.sees("comes ")
	var mine dogVisits
	program.get("/api/dogs/"+program.dogs()["Rudder"]+"/visits", &mine)
	require.Len(t, mine.Visits, 1)
	assert.Equal(t, "agreed", mine.Visits[0].State)
	p.open(program.address + "/round")
	p.press("button", "Tell the owner that it runs late")
	p.sees("The day runs late: Teasel")
}

// dogVisits is what the interface answers of a dog's visits.
type dogVisits struct{ Visits []struct{ State string } }

// What is typed of an owner stays while a message of theirs goes out and the page is read again.
func TestWhatIsTypedOfAnOwnerStays(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	owner, dog := uuid.NewString(), program.dogs()["Bobbin"]
	program.send(
		"PUT",
		"/api/owners/"+owner,
		`{"name":"Perrin Slate","reach":"text","address":"+44 1632 960001","may_offer":true}`,
		nil,
	)
	program.send("PUT", "/api/dogs/"+dog+"/owner", fmt.Sprintf(`{"owner_id":%q}`, owner), nil)
	p := tab(t, browser(t), program.address+"/owners/"+owner)
	p.sees("Bobbin")
	p.fill("owner-note", "the side door")
	program.send("PUT", "/api/messages/"+uuid.NewString(), fmt.Sprintf(`{"dog_id":%q,"kind":"places"}`, dog), nil)
	p.MustEval(`() => window.dispatchEvent(new Event('visibilitychange'))`) // as a phone that is taken up again
	p.find(".visits-head", "Messages")
	assert.Equal(t, "the side door", p.MustEval(`() => document.querySelector('#owner-note').value`).Str())
}
