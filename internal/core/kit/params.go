package kit

const pliersSplit = 13.6 // kg: small pliers below, large from there (trade: about 30 lb)
