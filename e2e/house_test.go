package e2e

import (
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const passphrase = "four plain words here"

// openHouse is a program that lets the house in, and its address for other devices.
func openHouse(t *testing.T, data, listen string) (*program, string) {
	t.Helper()
	t.Setenv("FRIBBET_PASSPHRASE", passphrase)
	p := serve(t, data, day, listen)
	var house struct{ Addresses []string }
	require.Eventually(t, func() bool { // a new book takes a moment to be made
		p.get("/api/house", &house)
		return len(house.Addresses) > 0
	}, patience, 100*time.Millisecond)
	return p, strings.TrimSuffix(house.Addresses[0], "/")
}

// device is a browser of its own, which has nothing of the others and takes the program's own certificate.
func device(t *testing.T, b *rod.Browser, address string, width, height int) page {
	t.Helper()
	own, err := b.Incognito()
	require.NoError(t, err)
	require.NoError(t, own.IgnoreCertErrors(true))
	made, err := own.Page(proto.TargetCreateTarget{URL: "about:blank"})
	require.NoError(t, err)
	p := page{t, made}
	p.size(width, height)
	p.open(address)
	return p
}

// comesIn is paired by the passphrase.
func (p page) comesIn(name, who string) {
	p.t.Helper()
	p.fill("passphrase", passphrase)
	p.fill("name", name)
	p.fill("who", who)
	p.press("button", "Come in")
}

// The phone at the table is let in by a code, the tablet by the passphrase; what is tapped on one stands on the
// other within moments. The server is killed in between: the phone shows what it saw last and says so, its taps
// wait, and arrive. Then it is withdrawn.
func TestThePhoneAtTheTable(t *testing.T) { // by itself: the passphrase stands in the environment
	data := filepath.Join(t.TempDir(), "book.db")
	program, house := openHouse(t, data, "0.0.0.0:0")
	b := browser(t)
	desk := tab(t, b, program.address)
	firstDog(desk)
	desk.open(program.address + "/settings/devices")
	desk.press("button", "Let a device in")
	link := desk.find(".pairing .address", "https").MustText()

	phone := device(t, b, house, 390, 844)
	phone.sees("Let this device in")
	phone.open(strings.TrimSpace(link))
	phone.fill("name", "phone")
	phone.fill("who", "Ann")
	phone.press("button", "Come in")
	phone.sees("Moss")
	desk.sees("phone, Ann") // and the code is gone from the desk
	phone.open(strings.TrimSpace(link))
	phone.press("button", "Come in")
	phone.sees("This code was used")

	tablet := device(t, b, house, 820, 1180)
	tablet.comesIn("tablet", "Ben")
	tablet.sees("Moss")

	// Once over TLS, the phone keeps the program and what it saw.
	phone.open(house)
	err := phone.Timeout(patience).Wait(rod.Eval(`() => navigator.serviceWorker.controller !== null`))
	phone.require(err, "a shell")
	id := program.dogs()["Moss"]
	phone.open(house + "/dogs/" + id)
	phone.sees("How to begin with Moss")
	phone.open(house)
	phone.sees("Moss")
	phone.open(house + "/dogs/" + id + "/ready")
	phone.press("button", "^Start")
	phone.sees("to go today")
	where, err := phone.Eval(`() => location.pathname`)
	require.NoError(t, err)
	bench := where.Value.Str()
	at := "/api/dogs/" + id + "/sittings/" + bench[strings.LastIndex(bench, "/")+1:] + "/bench"
	tablet.open(house + bench)
	tablet.sees("to go today")
	phone.grinder()
	phone.saved()
	phone.keys("t")
	from := time.Now()
	tablet.sees("1 touch")
	t.Logf("the tablet showed the phone's touch after %s", time.Since(from))
	phone.saved()

	port := program.port()[strings.LastIndex(program.port(), ":"):]
	program.kill()
	phone.keys("t t")
	phone.sees("Kept here, not yet saved: 2 taps")
	phone.open(house)
	phone.sees("Fribbet does not answer")
	phone.sees("Moss")
	phone.sees("2 taps wait")
	phone.open(house + "/dogs/" + id)
	phone.sees("This is what was last seen")
	phone.open(house + bench)
	phone.sees("2 taps")

	program, _ = openHouse(t, data, "0.0.0.0"+port)
	program.told(t, at, 3)
	var people struct{ People []string }
	program.get(at, &people)
	assert.Equal(t, []string{"Ann"}, people.People)
	phone.open(house)
	err = phone.Timeout(patience).
		Wait(rod.Eval(`() => document.body !== null && !document.body.innerText.includes('does not answer')`))
	phone.require(err, "seen anew")

	desk.open(program.address + "/settings/devices")
	desk.find("li", "phone, Ann").MustElement("[aria-label='Withdraw phone']").MustClick()
	desk.press("button", "Withdraw it")
	desk.find("li", "tablet, Ben")
	require.NoError(t, phone.Navigate(house+"/kit"))
	require.Eventually(t, func() bool { // it stands at the door, and nothing is left of what it kept
		left, err := phone.Timeout(10 * time.Second).
			Eval(`async () => (document.body?.innerText ?? "").includes('Let this device in') ? (await caches.keys()).length + localStorage.length : -1`)
		return err == nil && left.Value.Int() == 0
	}, patience, 100*time.Millisecond)
}
