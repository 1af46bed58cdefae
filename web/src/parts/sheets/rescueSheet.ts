import { create } from 'zustand'

/** Whether the cards for when something goes wrong lie open: one sheet, opened from anywhere. */
export const useRescueSheet = create<{ readonly open: boolean; readonly set: (open: boolean) => void }>(
  (set) => ({
    open: false,
    set: (open) => {
      set({ open })
    },
  }),
)
