package main

import (
	"fmt"
	"os"
	"path/filepath"
	"time"

	"github.com/spf13/cobra"

	"fribbet/internal/store"
)

// backupCommand copies a book, whether a Fribbet has it open or not.
func backupCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{
		Use:   "backup OUT",
		Short: "Copy the book into a new file, also while Fribbet runs, and check the copy",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			path, err := named(data)
			if err != nil {
				return err
			}
			if err := store.BackupFile(cmd.Context(), path, args[0]); err != nil {
				return err
			}
			info, err := os.Stat(args[0])
			if err != nil {
				return err
			}
			words := "Backed up %s to %s: %.1f MB, read back whole and found sound.\n"
			if _, err := os.Stat(args[0] + ".pictures"); err == nil {
				words += "Its pictures stand beside it: take both along.\n"
			}
			return tell(
				cmd,
				map[string]any{"book": path, "backup": args[0], "bytes": info.Size()},
				words,
				path,
				args[0],
				float64(info.Size())/1e6,
			)
		},
	}
	dataFlag(cmd, &data)
	return cmd
}

// restoreCommand puts a backup in the place of a book.
func restoreCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{
		Use:   "restore BACKUP",
		Short: "Put a backup in the book’s place, and keep what was there",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			path, err := named(data)
			if err != nil {
				return err
			}
			keep := store.ReplacedAt(path, time.Now())
			if err := store.Restore(cmd.Context(), path, args[0], keep); err != nil {
				return err
			}
			words := fmt.Sprintf("Restored %s from %s.\n", path, args[0])
			if _, err := os.Stat(keep); err != nil {
				keep = ""
			} else {
				words += fmt.Sprintf("What was there is kept as %s.\n", keep)
			}
			return tell(cmd, map[string]any{"book": path, "backup": args[0], "kept": keep}, "%s", words)
		},
	}
	dataFlag(cmd, &data)
	return cmd
}

func dataFlag(cmd *cobra.Command, data *string) {
	cmd.Flags().StringVar(data, "data", "", "the data FILE (default: under your data directory)")
}

// named is the data file that was named, or the usual one; where it is a link, the file that it leads to, so that
// what stands beside a book stands in one place.
func named(data string) (string, error) {
	if data == "" {
		usual, err := dataFile()
		if err != nil {
			return "", err
		}
		data = usual
	}
	if real, err := filepath.EvalSymlinks(data); err == nil {
		return real, nil
	}
	return data, nil
}
