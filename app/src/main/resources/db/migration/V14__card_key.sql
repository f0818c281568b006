-- A ride card that is sent to a phone stands in its own address, signed with this key of the point; nothing else of it is
-- kept. It is made when the first one is sent.
alter table point add column card_key bytea;
