-- What a member is made of: a flue keeps its distance from timber, not from steel. Unknown for members drawn before.
ALTER TABLE member ADD COLUMN material TEXT;
