# Makes soybean.csv from the Soybean data of R's mlbench package (Debian: r-cran-mlbench):
#   Rscript tests/Reference/data/soybean.R > tests/Reference/data/soybean.csv
# Source: R. S. Michalski & R. L. Chilausky, Int. J. Policy Anal. Inf. Syst. 4 (1980) 125-161, by way of the UCI Machine
# Learning Repository, "Soybean (Large)", CC BY 4.0. 683 cases, 19 classes, 35 categorical features; gaps are left empty.
library(mlbench)
data(Soybean)
write.csv(Soybean, stdout(), row.names = FALSE, quote = FALSE, na = "")
