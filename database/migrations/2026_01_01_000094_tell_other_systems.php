<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What leaves the house for other systems: where to, what of, and each message with how often it was tried. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE channels (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                code varchar(30) NOT NULL UNIQUE,
                name varchar(80) NOT NULL,
                purpose varchar(10) NOT NULL CHECK (purpose IN ('events', 'files')),
                target varchar(10) NOT NULL CHECK (target IN ('http', 'sftp', 'folder')),
                address varchar(500) NOT NULL,
                login varchar(80) NOT NULL DEFAULT '',
                secret text,
                former_secret text,
                former_until timestamptz,
                host_key varchar(100) NOT NULL DEFAULT '',
                retired boolean NOT NULL DEFAULT false,
                version integer NOT NULL DEFAULT 1
            );
            COMMENT ON TABLE channels IS 'a way to another system: what goes there is said by webhooks or handover_profiles';
            COMMENT ON COLUMN channels.address IS 'http: where to post; sftp: host:port/folder; folder: below the folder of the installation';
            COMMENT ON COLUMN channels.secret IS 'encrypted: what messages are signed with, or what opens the target';
            COMMENT ON COLUMN channels.former_secret IS 'encrypted; signs too until former_until';
            COMMENT ON COLUMN channels.host_key IS 'sftp: fingerprint of the host, as ssh-keygen -l tells it: SHA256:...';

            CREATE TABLE webhooks (
                channel_id bigint PRIMARY KEY REFERENCES channels (id),
                events jsonb NOT NULL
            );
            COMMENT ON COLUMN webhooks.events IS 'names of acts in the ledger, or a kind and a star';

            CREATE TABLE deliveries (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                channel_id bigint NOT NULL REFERENCES channels (id),
                name varchar(160) NOT NULL,
                what varchar(80) NOT NULL,
                subject varchar(80) NOT NULL,
                media_type varchar(60) NOT NULL,
                content text NOT NULL,
                written_at timestamptz NOT NULL,
                due_at timestamptz NOT NULL,
                tries integer NOT NULL DEFAULT 0,
                state varchar(10) NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'delivered', 'refused', 'given_up')),
                ended_at timestamptz,
                said varchar(300) NOT NULL DEFAULT '',
                CONSTRAINT deliveries_once UNIQUE (channel_id, name),
                CONSTRAINT deliveries_ended CHECK ((state = 'waiting') = (ended_at IS NULL))
            );
            COMMENT ON TABLE deliveries IS 'messages to other systems, written in the transaction of what they tell of';
            COMMENT ON COLUMN deliveries.name IS 'by which the receiver knows it again: the number in the ledger, or the name of a file';
            COMMENT ON COLUMN deliveries.what IS 'the event, or the hand-over';
            COMMENT ON COLUMN deliveries.subject IS 'the number of the change';
            COMMENT ON COLUMN deliveries.said IS 'what the receiver said last, or what went wrong';
            CREATE INDEX deliveries_waiting ON deliveries (channel_id, id) WHERE state = 'waiting';
            CREATE INDEX deliveries_listed ON deliveries (channel_id, state, id DESC);

            CREATE TABLE delivery_attempts (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                delivery_id bigint NOT NULL REFERENCES deliveries (id) ON DELETE CASCADE,
                at timestamptz NOT NULL,
                took_ms integer NOT NULL,
                arrived boolean NOT NULL,
                said varchar(300) NOT NULL
            );
            CREATE INDEX delivery_attempts_of ON delivery_attempts (delivery_id, id);

            UPDATE roles SET abilities = abilities || '[\"connect_systems\"]'
                WHERE NOT jsonb_exists(abilities, 'connect_systems') AND jsonb_exists(abilities, 'manage_people');
        ");
    }
};
