-- How far the mouth of a flue keeps from what lets air in, by the appliance's sheet.

ALTER TABLE fitting ADD COLUMN mouth_mm REAL;
