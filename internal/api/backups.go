package api

import (
	"context"
	"errors"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

func (h handlers) ListBackups(
	context.Context,
	contract.ListBackupsRequestObject,
) (contract.ListBackupsResponseObject, error) {
	out, err := h.backups()
	return contract.ListBackups200JSONResponse{BackupsJSONResponse: out}, err
}

func (h handlers) MakeBackup(
	ctx context.Context,
	_ contract.MakeBackupRequestObject,
) (contract.MakeBackupResponseObject, error) {
	if _, err := h.book.BackUp(ctx); err != nil {
		return nil, refusedFile("backup", err)
	}
	out, err := h.backups()
	return contract.MakeBackup200JSONResponse{BackupsJSONResponse: out}, err
}

func (h handlers) RestoreBackup(
	ctx context.Context,
	r contract.RestoreBackupRequestObject,
) (contract.RestoreBackupResponseObject, error) {
	path, err := h.book.SoundBackup(ctx, r.Name)
	if err != nil {
		return nil, refusedFile("name", err)
	}
	h.restore(path)
	return contract.RestoreBackup202Response{}, nil
}

func (h handlers) backups() (contract.BackupsJSONResponse, error) {
	all, err := h.book.Backups()
	out := contract.BackupsJSONResponse{
		Place:        all.Place,
		Nightly:      !h.demo,
		Trouble:      h.trouble,
		NightTrouble: all.Trouble,
		Backups:      []contract.Backup{},
	}
	for _, k := range all.Kept {
		out.Backups = append(
			out.Backups,
			contract.Backup{Name: k.Name, MadeAt: k.At, Bytes: k.Bytes, Replaced: k.Replaced},
		)
	}
	return out, err
}

// refusedFile names the file that the store refused as what was asked for.
func refusedFile(field string, err error) error {
	var refused book.Refused
	if errors.As(err, &refused) {
		return fault.Fields{{Name: field, Value: refused.Path, Want: say.Plain(refused.Why)}}
	}
	return err
}
