-- What was compared is compared anew when somebody looks: a comparison says the pixels of each region now.
delete from comparison;
