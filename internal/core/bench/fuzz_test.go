package bench_test

import (
	"bytes"
	"encoding/json"
	"testing"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/dogtest"
)

// Whatever events are told in whatever order: each is taken or refused, the log comes to the same when it is folded as
// when it was told, telling it twice changes nothing, and nothing breaks. `go test -fuzz FuzzEvents
// ./internal/core/bench` looks for what does.
func FuzzEvents(f *testing.F) {
	for _, seed := range []string{
		`[{"id":"a","kind":"started","tool":"small_plier"},{"id":"b","kind":"cut","nail":"LF3","mm":1},{"id":"c","kind":"face","nail":"LF3","of":"b","face":"white"},{"id":"d","kind":"undone","of":"b"},{"id":"e","kind":"ended","minutes":3}]`,
		`[{"id":"a","kind":"started","tool":"grinder_band","helper":true},{"id":"b","kind":"touch","nail":"RH1b","mm":0.1},{"id":"b","kind":"blood","nail":"RH1b"},{"id":"c","kind":"done","nail":"LF2","end":"sign","assumed":true}]`,
		`[{"id":"","kind":"cut","nail":"LF3","mm":-1},{"id":"x","kind":"undone","of":"x"},{"id":"y","kind":"landmark","nail":"LF4","landmark":"groove","mm":1e300}]`,
		`[]`,
	} {
		f.Add([]byte(seed))
	}
	d := dogtest.Plain()
	f.Fuzz(func(t *testing.T, text []byte) {
		var told []bench.Event
		if json.Unmarshal(text, &told) != nil {
			return
		}
		telling := bench.Log(nil).Tell(d)
		for _, e := range told {
			if fresh, err := telling.Add(e); err == nil && fresh {
				if again, err := telling.Add(e); again || err != nil {
					t.Fatalf("%+v told twice: %t, %v", e, again, err)
				}
			}
		}
		kept, _ := json.Marshal(telling.State)
		folded, _ := json.Marshal(telling.Log.Fold())
		if !bytes.Equal(kept, folded) {
			t.Fatalf("told:\n%s\nfolded:\n%s", kept, folded)
		}
	})
}
