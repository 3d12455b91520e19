package main

import (
	"fmt"
	"strings"
	"text/tabwriter"
	"time"

	"github.com/spf13/cobra"

	"fribbet/internal/book"
	"fribbet/internal/store"
)

// dueLine is a dog of the list, for scripts.
type dueLine struct {
	ID       string `json:"dog_id"`
	Name     string `json:"name"`
	Due      string `json:"due,omitempty"` // empty: no date yet
	Standing string `json:"standing"`
	Reason   string `json:"reason"`
}

// dueCommand tells the list of due dogs.
func dueCommand() *cobra.Command {
	var data, name string
	var most int
	cmd := &cobra.Command{
		Use:   "due",
		Short: "List the dogs by next date, also while Fribbet runs; the exit code is 3 when somebody is due today or late",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			if most < 1 || most > mostDue {
				return fmt.Errorf("--limit must be from 1 to %d", mostDue)
			}
			path, err := named(data)
			if err != nil {
				return err
			}
			kept, done, err := store.OpenCopy(cmd.Context(), path)
			if err != nil {
				return err
			}
			defer done() //nolint:errcheck // of a copy
			b := book.New(kept, time.Now, book.Options{})
			found, err := b.DueList(cmd.Context(), store.Find{Name: name, Limit: most})
			for tell := steps(cmd, "dates"); err == nil && found.Recount != nil; time.Sleep(100 * time.Millisecond) {
				tell(found.Recount.Done, found.Recount.All)
				found, err = b.DueList(cmd.Context(), store.Find{Name: name, Limit: most})
			}
			if err != nil {
				return err
			}
			speaks, err := b.Words(cmd.Context())
			if err != nil {
				return err
			}
			lines := make([]dueLine, len(found.Rows))
			pressing := false
			for i, r := range found.Rows {
				turn, err := r.Turn()
				if err != nil {
					return err
				}
				lines[i] = dueLine{
					ID:       r.DogID.String(),
					Name:     r.Name,
					Standing: string(turn.Standing),
					Reason:   speaks.Say(turn.Reason),
				}
				if !turn.On.IsZero() {
					lines[i].Due = turn.On.String()
					pressing = pressing || !turn.On.After(b.Today())
				}
			}
			if err := tellDue(cmd, lines); err != nil {
				return err
			}
			if pressing {
				return exitCode(somebodyDue)
			}
			return nil
		},
	}
	dataFlag(cmd, &data)
	cmd.Flags().StringVar(&name, "search", "", "only names that hold these letters")
	cmd.Flags().IntVar(&most, "limit", 200, "how many at most")
	return cmd
}

const mostDue = 100_000

func tellDue(cmd *cobra.Command, lines []dueLine) error {
	var text strings.Builder
	table := tabwriter.NewWriter(&text, 0, 0, 2, ' ', 0)
	for _, l := range lines {
		due := l.Due
		if due == "" {
			due = "-"
		}
		fmt.Fprintf(table, "%s\t%s\t%s\n", due, l.Name, l.Reason)
	}
	if err := table.Flush(); err != nil {
		return err
	}
	return tell(cmd, lines, "%s", text.String())
}
