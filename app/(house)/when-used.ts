'use client';

/**
 * What is heavy loads beside the page and not before it: until its code is there it stands as the server drew it, and its forms do
 * not open (`KeptForm`).
 */
import dynamic from 'next/dynamic';

export const ClientForm = dynamic(() =>
  import('./clients/client-form').then((part) => part.ClientForm),
);
export const ClientImportForm = dynamic(() =>
  import('./clients/import/import-form').then((part) => part.ClientImportForm),
);
export const MergeClient = dynamic(() =>
  import('./clients/merge-client').then((part) => part.MergeClient),
);
export const AddPlayer = dynamic(() =>
  import('./events/[id]/add-player').then((part) => part.AddPlayer),
);
export const BagForm = dynamic(() =>
  import('./events/[id]/players/[player]/bag-form').then((part) => part.BagForm),
);
export const PlayerForm = dynamic(() =>
  import('./events/[id]/players/[player]/player-form').then((part) => part.PlayerForm),
);
export const EventForm = dynamic(() =>
  import('./events/event-form').then((part) => part.EventForm),
);
export const FrameForm = dynamic(() =>
  import('./frames/frame-form').then((part) => part.FrameForm),
);
export const FrameImportForm = dynamic(() =>
  import('./frames/import/import-form').then((part) => part.FrameImportForm),
);
export const CorrectionForm = dynamic(() =>
  import('./jobs/[number]/correction-form').then((part) => part.CorrectionForm),
);
export const PaymentForm = dynamic(() =>
  import('./jobs/[number]/payment-form').then((part) => part.PaymentForm),
);
export const LineForm = dynamic(() =>
  import('./jobs/[number]/amend-forms').then((part) => part.LineForm),
);
export const VoidForm = dynamic(() =>
  import('./jobs/[number]/amend-forms').then((part) => part.VoidForm),
);
export const PlayerImportForm = dynamic(() =>
  import('./events/[id]/players/import/import-form').then((part) => part.PlayerImportForm),
);
export const JobImportForm = dynamic(() =>
  import('./jobs/import/import-form').then((part) => part.JobImportForm),
);
export const JobGrid = dynamic(() => import('./jobs/job-grid').then((part) => part.JobGrid));
export const CodeForm = dynamic(() => import('./me/code-form').then((part) => part.CodeForm));
export const PasswordForm = dynamic(() =>
  import('./me/password-form').then((part) => part.PasswordForm),
);
export const SecondStep = dynamic(() => import('./me/second-step').then((part) => part.SecondStep));
export const MainsPanel = dynamic(() =>
  import('./rackets/[id]/ageing/mains-panel').then((part) => part.MainsPanel),
);
export const ReadingForm = dynamic(() =>
  import('./rackets/[id]/ageing/reading-form').then((part) => part.ReadingForm),
);
export const TapPanel = dynamic(() =>
  import('./rackets/[id]/ageing/tap-panel').then((part) => part.TapPanel),
);
export const BalanceForm = dynamic(() =>
  import('./rackets/[id]/balance/balance-form').then((part) => part.BalanceForm),
);
export const StringPanel = dynamic(() =>
  import('./rackets/[id]/balance/string-panel').then((part) => part.StringPanel),
);
export const WantedPanel = dynamic(() =>
  import('./rackets/[id]/balance/wanted-panel').then((part) => part.WantedPanel),
);
export const ReadingDesk = dynamic(() =>
  import('./rackets/[id]/reading/reading-desk').then((part) => part.ReadingDesk),
);
export const GiveRacket = dynamic(() =>
  import('./rackets/give-racket').then((part) => part.GiveRacket),
);
export const RacketForm = dynamic(() =>
  import('./rackets/racket-form').then((part) => part.RacketForm),
);
export const FeelForm = dynamic(() =>
  import('./same-feel/feel-form').then((part) => part.FeelForm),
);
export const ShortForm = dynamic(() => import('./short/short-form').then((part) => part.ShortForm));
export const BoughtForm = dynamic(() =>
  import('./shelf/bought-form').then((part) => part.BoughtForm),
);
export const ShelfLengths = dynamic(() =>
  import('./shelf/shelf-lengths').then((part) => part.ShelfLengths),
);
export const TableForm = dynamic(() =>
  import('./strings/import/table-form').then((part) => part.TableForm),
);
export const StringForm = dynamic(() =>
  import('./strings/string-form').then((part) => part.StringForm),
);
export const AskedForm = dynamic(() =>
  import('./take-in/asked-form').then((part) => part.AskedForm),
);
export const TakeInForm = dynamic(() =>
  import('./take-in/take-in-form').then((part) => part.TakeInForm),
);
export const CutForm = dynamic(() =>
  import('./tickets/[number]/cut/cut-form').then((part) => part.CutForm),
);
export const FromLibrary = dynamic(() =>
  import('./tickets/[number]/frame/from-library').then((part) => part.FromLibrary),
);
export const HandOverForm = dynamic(() =>
  import('./tickets/[number]/hand-over/hand-over-form').then((part) => part.HandOverForm),
);
export const InspectForm = dynamic(() =>
  import('./tickets/[number]/inspect/inspect-form').then((part) => part.InspectForm),
);
export const PhotoPanel = dynamic(() =>
  import('./tickets/[number]/inspect/photo-panel').then((part) => part.PhotoPanel),
);
export const LastLookForm = dynamic(() =>
  import('./tickets/[number]/last-look/last-look-form').then((part) => part.LastLookForm),
);
export const WithdrawForm = dynamic(() =>
  import('./tickets/[number]/life/withdraw-form').then((part) => part.WithdrawForm),
);
export const CalipersForm = dynamic(() =>
  import('./tickets/[number]/load/calipers-form').then((part) => part.CalipersForm),
);
export const SetupForm = dynamic(() =>
  import('./tickets/[number]/setup/setup-form').then((part) => part.SetupForm),
);
export const BenchForm = dynamic(() =>
  import('./workshop/benches/bench-form').then((part) => part.BenchForm),
);
export const HouseForm = dynamic(() =>
  import('./workshop/house-rules/house-form').then((part) => part.HouseForm),
);
export const CheckForm = dynamic(() =>
  import('./workshop/machines/check-form').then((part) => part.CheckForm),
);
export const MachineForm = dynamic(() =>
  import('./workshop/machines/machine-form').then((part) => part.MachineForm),
);
export const ItemForm = dynamic(() =>
  import('./workshop/papers/item-form').then((part) => part.ItemForm),
);
export const PapersForm = dynamic(() =>
  import('./workshop/papers/papers-form').then((part) => part.PapersForm),
);
export const TemplatesForm = dynamic(() =>
  import('./workshop/papers/templates-form').then((part) => part.TemplatesForm),
);
export const AddPerson = dynamic(() =>
  import('./workshop/people/add-person').then((part) => part.AddPerson),
);
export const TrustDevice = dynamic(() =>
  import('./workshop/people/trust-device').then((part) => part.TrustDevice),
);
export const WorkshopForm = dynamic(() =>
  import('./workshop/workshop-form').then((part) => part.WorkshopForm),
);
