/** The numeric limits of the core, all in one place. Units are SI. */
export const LIMITS = {
  /** Newton gives up after this many steps, and continuation takes over. */
  newtonSteps: 60,
  /** Steps after which a stage of a step in time is given up for a shorter one. */
  stageSteps: 12,
  /** Stages of a run after which straight-line code for them pays. */
  compileAfter: 500,
  /** Stages of a run that is driven all along, after which its order of pivots has been found. */
  compileSoon: 4,
  /** Steps in which Newton may follow a current down a curve; from then on, as far as plain steps go. */
  fallingSteps: 12,
  /** Stages in a row that straight-line code may fail to settle, each shorter than the one before, until the stamped parts try. */
  codeFailures: 3,
  /** Draws in a row from which straight-line code pays for them. */
  hastenDraws: 1000,
  /** Unknowns of a circuit beyond which translating its straight-line code takes more memory than it saves time. */
  codeUnknowns: 900,
  /** Figures that differ from part to part beyond which neither draws nor corners come to an end while anybody waits. */
  spreads: 1000,
  /** Largest KCL residual, relative to the largest current that flows. */
  residualRelative: 1e-11,
  /** Residual that always counts as settled, in amps: far below what any part here can show. */
  residualAmps: 1e-15,
  /** Largest last step in volts. */
  stepVolts: 1e-9,
  /** A curve that was read this near by is taken by its tangent there: a current is off by 1e-7 of itself at most. */
  tangentVolts: 1e-5,
  /** Ohms of what is meant to have none (wire, closed switch, ideal supply), so that loops of them share evenly. */
  idealOhms: 1e-9,
  /** Leakage across every junction, in siemens: 5 pA at 5 V. It keeps a node between two blocking lamps defined. */
  junctionSiemens: 1e-12,
  /** Smallest series ohms of a junction: 20 nV at 20 mA. */
  junctionOhms: 1e-6,
  /** First and last shunt of the conductance continuation, in siemens. */
  shuntStart: 1e-2,
  shuntEnd: 1e-12,
  /** A pivot below this share of its row's scale is no pivot. */
  pivot: 1e-15,
  /** A sparse pivot is taken for its few neighbours while it is at least this share of the best one of its column. */
  pivotChoice: 1e-3,
  /** A fixed order of pivots is chosen anew when a multiplier has grown by more than this. */
  pivotGrowth: 1e6,
  /** Seconds that pass while charges are held at an instant: what a capacitor gains in them is below any figure. */
  instantSeconds: 1e-15,
  /** Switchings at one instant after which a circuit is said not to settle. */
  switchings: 40,
  /** Steps in time after which a run is given up. */
  timeSteps: 20_000_000,
  /** Steps tried at one instant, without getting on, after which a run is stuck. */
  stepsAtAnInstant: 20_000,
} as const;
