import type { Coordinates } from '../numerics/pivots';

/** Books the places of a Jacobian as parts ask for them. Ground's rows and columns share place 0, a bin. */
export class Places {
  private readonly booked = new Map<number, number>();
  private readonly rows = [0];
  private readonly columns = [0];

  /** @param size unknowns; ground is the row and column after them */
  constructor(private readonly size: number) {}

  entry(row: number, column: number): number {
    if (row >= this.size || column >= this.size || row < 0 || column < 0) return 0;
    const key = row * this.size + column;
    let place = this.booked.get(key);
    if (place === undefined) {
      place = this.rows.length;
      this.booked.set(key, place);
      this.rows.push(row);
      this.columns.push(column);
    }
    return place;
  }

  coordinates(): Coordinates {
    return { size: this.size, rows: Int32Array.from(this.rows), columns: Int32Array.from(this.columns) };
  }
}
