import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'

/** A button that asks for a file, and says beside it which one was taken. */
export function FileButton({
  children,
  name,
  accept,
  variant = 'outline-primary',
  size,
  disabled = false,
  saysName = true,
  multiple = false,
  onFile,
}: {
  children: string
  /** What kind of file, for who cannot see the button. */
  name: string
  accept: string
  variant?: 'outline-primary' | 'link'
  size?: 'sm'
  disabled?: boolean
  saysName?: boolean
  /** Several at once: each is handed over. */
  multiple?: boolean
  onFile: (file: File) => void
}) {
  const input = useRef<HTMLInputElement>(null)
  const [taken, setTaken] = useState<string | null>(null)
  return (
    <>
      <Button
        variant={variant}
        {...(size ? { size } : {})}
        disabled={disabled}
        onClick={() => {
          input.current?.click()
        }}
      >
        {children}
      </Button>
      {saysName && taken !== null && <span className="quiet align-self-center text-break">{taken}</span>}
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        hidden
        aria-label={name}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          // The same file may be chosen again after it was mended.
          event.target.value = ''
          if (files.length === 0) return
          setTaken(files.map((file) => file.name).join(', '))
          files.forEach(onFile)
        }}
      />
    </>
  )
}
