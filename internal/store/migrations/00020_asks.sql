-- +goose Up
-- What a dog asks of a visit says by tool what it asks of the kit: it is worked out anew. Messages are found by dog.
UPDATE standings SET visit = NULL;
CREATE INDEX messages_of_dog ON messages (dog_id, made_at);

-- +goose Down
DROP INDEX messages_of_dog;
UPDATE standings SET visit = NULL;
