-- Plans and practice may hold tries, a kind of block that earlier versions cannot read: such a store is not for them.
comment on column practice_block.kind is 'refresh, main, check or try';
