-- What a member is made of: a flue keeps its distance from timber, not from steel. Unknown for members drawn before.
ALTER TABLE member ADD COLUMN material TEXT;

-- The bedding tape that somebody chose for an opening: width, thickness and what is left of it when squeezed.
ALTER TABLE opening ADD COLUMN tape TEXT CHECK (tape IS NULL OR json_valid(tape));
