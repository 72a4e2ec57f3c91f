-- The film of a clip, small and cut to the swing (MP4, Base64): only where somebody agreed to pictures and it was chosen.
-- A CLOB lies beside its row, so that asking which clips have one does not read them.
create table clip_film (
    clip_id uuid primary key references clip on delete cascade,
    bytes int not null,
    film clob not null
);
