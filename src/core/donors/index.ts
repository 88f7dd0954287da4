export { account, sayOf, type Account, type Leftover, type Line, type Purse } from './ledger.ts';
export { donorAccount, jobAccount } from './accounts.ts';
export {
  askedFor,
  billOf,
  byPrice,
  isPriced,
  lotOf,
  pricedIn,
  toPay,
  type Bill,
  type BillLine,
  type Priced,
} from './spend.ts';
export { splitBundle, type BundlePiece } from './bundle.ts';
export { staying, type Staying } from './stays.ts';
export { worth, WorthError, type Amount, type Worth, type WorthInput } from './worth.ts';
export { crossings, laid, type Ends, type Laid } from './crossings.ts';
