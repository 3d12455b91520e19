package main

import (
	"time"

	"github.com/spf13/cobra"

	"fribbet/internal/book"
	"fribbet/internal/store"
)

// rebuildCommand works out what the lists read again from the logs of all sittings.
func rebuildCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{
		Use: "rebuild", Short: "Work out the lists again from the logs of all sittings", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			path, err := named(data)
			if err != nil {
				return err
			}
			kept, err := store.Open(cmd.Context(), path, store.Existing)
			if err != nil {
				return err
			}
			defer kept.Close()  //nolint:errcheck // every write is committed by then
			const between = 500 // sittings from one line to the next
			n, err := book.New(kept, time.Now, book.Options{}).Rebuild(cmd.Context(), func(done, all int) {
				if done%between == 0 {
					cmd.Printf("%d of %d sittings\n", done, all)
				}
			})
			if err != nil {
				return err
			}
			return tell(cmd, map[string]any{"sittings": n}, "Worked out %d sittings from their logs.\n", n)
		},
	}
	dataFlag(cmd, &data)
	return cmd
}
