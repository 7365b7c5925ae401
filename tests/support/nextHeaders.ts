/** The request that a test asks by: its cookies and headers, as the framework would hand them to an action. */
const jar = new Map<string, string>();
const sent = new Map<string, string>();

export const request = {
  /** Nobody known asks. */
  asNobody(): void {
    jar.clear();
  },
  cookies: jar,
  headers: sent,
};

export const cookies = () =>
  Promise.resolve({
    get: (name: string) => (jar.has(name) ? { name, value: jar.get(name)! } : undefined),
    set: (name: string, value: string) => {
      if (value === '') jar.delete(name);
      else jar.set(name, value);
    },
    delete: (name: string) => jar.delete(name),
  });

export const headers = () => Promise.resolve({ get: (name: string) => sent.get(name.toLowerCase()) ?? null });
