-- The film of a clip, small and cut to the swing (MP4, Base64): only where it was chosen, and with who agreed to this one
-- when: who agreed to eight pictures has not agreed to a film.
-- A CLOB lies beside its row, so that asking which clips have one does not read them.
create table clip_film (
    clip_id uuid primary key references clip on delete cascade,
    agreed_on date not null,
    agreed_by varchar(100) not null,
    bytes int not null,
    film clob not null
);
