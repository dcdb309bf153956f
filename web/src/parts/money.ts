/** An amount of money as the server has rounded it; nothing is reckoned here. */
export const money = (amount: number) => amount.toFixed(2)

/** A difference with its sign: "+0.12", "−0.05", "as before". */
export const difference = (amount: number) =>
  amount === 0 ? 'as before' : amount > 0 ? `+${money(amount)}` : `−${money(-amount)}`

/** A price of a kilogram, litre or piece: small ones need more figures. */
export const perUnit = (amount: number) => (amount < 1 ? amount.toFixed(3) : amount.toFixed(2))
